import { rm } from 'node:fs/promises';
import { basename } from 'node:path';
import type { Readable } from 'node:stream';
import { getWork } from '@/data';
import { Cancelled, FileRefusal, MAX_BYTES, receive } from '@/engine';
import type { Received } from '@/engine';
import { faultWords, refusalWords, rowId, studio } from '@/studio';
import type { Studio } from '@/studio';

export type IntakeAnswer = { ok: true; name: string } | { ok: false; message: string };

export const no = (message: string): IntakeAnswer => ({ ok: false, message });

/** An outside name as it may be shown and kept: its last part, no control characters. */
export const shownName = (name: string): string =>
  basename(name.replaceAll('\\', '/'))
    .replace(/\p{Cc}/gu, '')
    .slice(0, 200) || 'file without a name';

/** A file that has arrived for a work; its bytes are kept only if whoever takes it keeps them. */
export interface Arrived {
  open: Studio;
  work: { id: number; title: string };
  name: string;
  received: Received;
}

/** What happened to a file that did not get through, in a sentence. */
function wordsFor(error: unknown, name: string): string {
  if (error instanceof FileRefusal) return refusalWords(name, error.refused);
  if (error instanceof RangeError && error.message === 'tooLarge')
    return refusalWords(name, { code: 'tooLarge', limitGigabytes: MAX_BYTES / 1e9 });
  if (error instanceof Cancelled) return `${name}: stopped. Nothing of it was kept.`;
  const fault = faultWords(error);
  if (fault) return `${name}: ${fault}`;
  const { code } = error as NodeJS.ErrnoException;
  return `${name}: it did not arrive whole (${code ?? 'connection broken'}). Nothing of it was kept; drop it again.`;
}

/**
 * Streams bytes for a work to disk and hands them to `take`. Whatever is refused leaves
 * nothing behind and is answered in a sentence.
 */
export async function receiveFor(
  workId: string,
  givenName: string,
  source: Readable,
  take: (arrived: Arrived) => Promise<IntakeAnswer>,
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
    return await take({ open, work, name, received });
  } catch (error) {
    return no(wordsFor(error, name));
  } finally {
    if (received) await rm(received.path, { force: true });
  }
}
