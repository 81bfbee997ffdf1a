import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { isAbsolute } from 'node:path';
import type { Readable } from 'node:stream';
import { worksOfFile } from '@/data';
import { isWhole, keep } from '@/engine';
import { no, receiveFor, shownName, takeMaster } from '@/studio';
import type { IntakeAnswer } from '@/studio';

/** Streams bytes to disk, reads them and takes them as a work's master. */
export const receiveMaster = (
  workId: string,
  givenName: string,
  source: Readable,
  stop?: AbortSignal,
): Promise<IntakeAnswer> =>
  receiveFor(workId, givenName, source, async ({ open, work, name, received }) => {
    const had = await worksOfFile(open.db.read, received.sha256);
    if (!had.some((h) => h.workId === work.id)) {
      await takeMaster(open, received, work.id, name, { stop });
      return { ok: true, name };
    }
    if (await isWhole(open.home, received.sha256))
      return no(
        `${name}: this very file is already the master of “${work.title}”. Nothing was stored twice; bring another file, or go on to Size.`,
      );
    // The stored original was damaged or lost: this very file heals it.
    await keep(open.home, received);
    return { ok: true, name };
  });

/** The same for a file named on this machine; the file there is only read. */
export async function receiveNamedFile(
  workId: string,
  path: string,
): Promise<IntakeAnswer> {
  const name = shownName(path);
  if (!isAbsolute(path))
    return no(
      `File on this machine: “${path}” is not a full path. Give it from the root, such as /home/me/scans/work.tif.`,
    );
  const found = await stat(path).catch(() => null);
  if (!found)
    return no(`File on this machine: there is nothing at ${path}. Check the path.`);
  if (!found.isFile())
    return no(
      `File on this machine: ${path} is a folder, not a file. Name one file in it.`,
    );
  return receiveMaster(workId, name, createReadStream(path));
}
