import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { worksOfFile } from '@/data';
import { MAX_BYTES, isWhole, keep, readMaster } from '@/engine';
import { namedFile, no, receiveFor, shownName, studio, takeMaster } from '@/studio';
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

/** The bytes of a named file, if it is a picture that can be taken: nothing of another is copied. */
async function* lookedAt({ path, bytes }: { path: string; bytes: number }) {
  await readMaster(path, bytes);
  if (bytes > MAX_BYTES) throw new RangeError('tooLarge');
  yield* createReadStream(path);
}

/** The same for a file named on this machine; the file there is only read. */
export async function receiveNamedFile(
  workId: string,
  path: string,
): Promise<IntakeAnswer> {
  const found = await namedFile((await studio()).home, path);
  return 'fault' in found
    ? no(`File on this machine: ${found.fault}`)
    : receiveMaster(workId, shownName(path), Readable.from(lookedAt(found)));
}
