import { createReadStream } from 'node:fs';
import { rm, stat } from 'node:fs/promises';
import { basename, isAbsolute } from 'node:path';
import type { Readable } from 'node:stream';
import { getWork, worksOfFile } from '@/data';
import { Cancelled, FileRefusal, MAX_BYTES, isWhole, keep, receive } from '@/engine';
import type { Received } from '@/engine';
import { faultWords, refusalWords, rowId, studio, takeMaster } from '@/studio';

export type IntakeAnswer = { ok: true; name: string } | { ok: false; message: string };

const no = (message: string): IntakeAnswer => ({ ok: false, message });

/** An outside name as it may be shown and kept: its last part, no control characters. */
export const shownName = (name: string): string =>
  basename(name.replaceAll('\\', '/'))
    .replace(/\p{Cc}/gu, '')
    .slice(0, 200) || 'file without a name';

/**
 * Streams bytes to disk, reads them and takes them as a work's master. Whatever is refused
 * leaves nothing behind and is answered in a sentence.
 */
export async function receiveMaster(
  workId: string,
  givenName: string,
  source: Readable,
  stop?: AbortSignal,
): Promise<IntakeAnswer> {
  const open = await studio();
  const name = shownName(givenName);
  const work = await getWork(open.db.read, rowId(workId));
  if (!work) {
    source.resume();
    return no(
      `${name}: the work it was meant for is not there. Open the work and drop it again.`,
    );
  }
  let received: Received | undefined;
  try {
    received = await receive(open.home, source, MAX_BYTES);
    const had = await worksOfFile(open.db.read, received.sha256);
    if (had.some((h) => h.workId === work.id)) {
      const { sha256 } = received;
      if (!(await isWhole(open.home, sha256))) {
        // The stored original was damaged or lost: this very file heals it.
        await keep(open.home, received);
        return { ok: true, name };
      }
      return no(
        `${name}: this very file is already the master of “${work.title}”. Nothing was stored twice; bring another file, or go on to Size.`,
      );
    }
    await takeMaster(open, received, work.id, name, { stop });
    return { ok: true, name };
  } catch (error) {
    if (error instanceof FileRefusal) return no(refusalWords(name, error.refused));
    if (error instanceof RangeError && error.message === 'tooLarge')
      return no(refusalWords(name, { code: 'tooLarge', limitGigabytes: MAX_BYTES / 1e9 }));
    if (error instanceof Cancelled) return no(`${name}: stopped. Nothing of it was kept.`);
    const fault = faultWords(error);
    if (fault) return no(`${name}: ${fault}`);
    const { code } = error as NodeJS.ErrnoException;
    return no(
      `${name}: it did not arrive whole (${code ?? 'connection broken'}). Nothing of it was kept; drop it again.`,
    );
  } finally {
    if (received) await rm(received.path, { force: true });
  }
}

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
