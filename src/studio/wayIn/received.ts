import { rm } from 'node:fs/promises';
import { basename } from 'node:path';
import type { Readable } from 'node:stream';
import { keptCharacters } from '@/core/text';
import { getWork } from '@/data';
import { Cancelled, FileRefusal, MAX_BYTES, formatOfHead, receive } from '@/engine';
import type { Limits, Received } from '@/engine';
import { faultWords } from '../words/faults';
import { studio } from '../open/open';
import type { Studio } from '../running/studio';
import { refusalWords } from '../words/refusalWords';
import { rowId } from './rowId';

export type IntakeAnswer = { ok: true; name: string } | { ok: false; message: string };

export const no = (message: string): IntakeAnswer => ({ ok: false, message });

/** An outside name as it may be shown and kept: its last part, no control characters. */
export const shownName = (name: string): string =>
  [...keptCharacters(basename(name.slice(-4000).replaceAll('\\', '/')))]
    .slice(0, 200)
    .join('') || 'file without a name';

/** A file that has arrived; its bytes are kept only if whoever takes it keeps them. */
export interface ArrivedFile {
  open: Studio;
  name: string;
  received: Received;
}

/** One that has arrived for a work. */
export interface Arrived extends ArrivedFile {
  work: { id: number; title: string };
}

/** What happened to a file that did not get through, in a sentence. */
function wordsFor(error: unknown, name: string, { mostBytes }: Limits): string {
  if (error instanceof FileRefusal) return refusalWords(name, error.refused);
  if (error instanceof RangeError && error.message === 'tooLarge')
    return mostBytes < MAX_BYTES
      ? `${name}: over ${Math.round(mostBytes / 1e6)} MB, larger than such a file is. Nothing of it was kept; see whether it is the one you mean.`
      : refusalWords(name, { code: 'tooLarge', limitGigabytes: MAX_BYTES / 1e9 });
  if (error instanceof Cancelled) return `${name}: stopped. Nothing of it was kept.`;
  const fault = faultWords(error);
  if (fault) return `${name}: ${fault}`;
  const { code } = error as NodeJS.ErrnoException;
  return `${name}: it did not arrive whole (${code ?? 'connection broken'}). Nothing of it was kept; drop it again.`;
}

/** A picture of any size that is read at all; recognised before the rest of it arrives. */
export const ANY_PICTURE: Limits = { mostBytes: MAX_BYTES, recognise: formatOfHead };

/**
 * Streams bytes to disk and hands them to `take`. Whatever is refused leaves nothing behind
 * and is answered in a sentence.
 */
export async function receiveFile(
  givenName: string,
  source: Readable,
  limits: Limits,
  take: (arrived: ArrivedFile) => Promise<IntakeAnswer>,
): Promise<IntakeAnswer> {
  const open = await studio();
  const name = shownName(givenName);
  let received: Received | undefined;
  try {
    received = await receive(open.home, source, limits);
    return await take({ open, name, received });
  } catch (error) {
    return no(wordsFor(error, name, limits));
  } finally {
    if (received) await rm(received.path, { force: true });
  }
}

/** The same for a file of a work. */
export async function receiveFor(
  workId: string,
  givenName: string,
  source: Readable,
  take: (arrived: Arrived) => Promise<IntakeAnswer>,
): Promise<IntakeAnswer> {
  const work = await getWork((await studio()).db.read, rowId(workId));
  if (work)
    return receiveFile(givenName, source, ANY_PICTURE, (arrived) =>
      take({ ...arrived, work }),
    );
  source.resume();
  return no(
    `${shownName(givenName)}: the work it was meant for is not there. Open the work and drop it again.`,
  );
}
