import type { Readable } from 'node:stream';
import { formatSize, minor, mm } from '@/core/units';
import { sizeOfScan, titleOfFile } from '@/core/work';
import {
  addWork,
  forgetJobs,
  newestArtist,
  readSettings,
  removeRow,
  worksOfFile,
} from '@/data';
import { readMaster } from '@/engine';
import { todayOf } from '../running/today';
import { now } from '../running/studio';
import { takeMaster } from '../jobs/takeMaster';
import { ANY_PICTURE, no, receiveFile } from '../wayIn/received';

/** What became of a file that was dropped anywhere. */
export type Brought =
  | { ok: true; name: string; words: string; href: string }
  | {
      ok: false;
      message: string;
      /** The picture is one, but how large its original is has to be said. */
      ask?: 'width';
    };

/**
 * Takes a picture in as the master of a new work: its title from the file's name, its size from
 * the resolution of the scan, or from the width that was said, mm. What fails leaves no work.
 */
export async function bringWork(
  givenName: string,
  source: Readable,
  said: { width: number | null; stop?: AbortSignal },
): Promise<Brought> {
  let brought: Brought = { ok: false, message: '' };
  const answer = await receiveFile(
    givenName,
    source,
    ANY_PICTURE,
    async ({ open, name, received }) => {
      const { facts } = await readMaster(received.path, received.bytes);
      const [had] = await worksOfFile(open.db.read, received.sha256);
      if (had)
        return no(
          `${name}: this very file is already the master of “${had.title}”. Nothing was taken in twice.`,
        );
      const settings = await readSettings(open.db.read);
      const size =
        said.width === null
          ? sizeOfScan(facts)
          : {
              width: mm(said.width),
              height: mm((said.width * facts.height) / facts.width),
            };
      if (!size) {
        brought = { ok: false, message: '', ask: 'width' };
        return no(
          `${name}: the file does not say how large the original is. Say how wide it is, and it is taken in.`,
        );
      }
      const at = now();
      const title = titleOfFile(name);
      const artist =
        (await newestArtist(open.db.read)) ?? (settings.studio || 'not said yet');
      const row = await open.db.write((tx) =>
        addWork(tx, {
          title,
          artist,
          year: Number(todayOf(settings).slice(0, 4)),
          kind: 'painting',
          medium: 'not said yet',
          ...size,
          price: minor(0),
          currency: settings.currency,
          createdAt: at,
        }),
      );
      try {
        await takeMaster(open, received, row.id, name, { at, stop: said.stop });
      } catch (error) {
        await open.db.write(async (tx) => {
          // What came of it is said at the file: there is nothing to run again.
          await forgetJobs(tx, row.id);
          await removeRow(tx, 'work', row.id, { at, name: title });
        });
        throw error;
      }
      const { units, locale } = settings;
      brought = {
        ok: true,
        name,
        words: `“${title}” is in the works drawer, ${formatSize(size, units, locale)}.`,
        href: `/works/${row.id}/capture`,
      };
      return { ok: true, name };
    },
  );
  return answer.ok || brought.ok
    ? brought
    : { ...answer, ...('ask' in brought && brought.ask ? { ask: brought.ask } : {}) };
}
