import { IncomingMessage } from 'node:http';
import type { Misshapen } from './shape';

/** A body of which no byte comes for this long is given up. */
export const STALLED_MS = 60_000;

/**
 * Gives a request up whose body has stopped coming, or, where it must be `whole` by then, has
 * not come within that time. One that waits because we are slow to read it is not stalled.
 */
export function watchBody(
  request: IncomingMessage,
  whole: boolean,
  most = STALLED_MS,
): void {
  const { socket } = request;
  const began = performance.now();
  let read = socket.bytesRead;
  let since = began;
  const timer = setInterval(
    () => {
      const now = performance.now();
      if (request.complete || request.destroyed) return clearInterval(timer);
      const waitsForUs = request.readableLength >= request.readableHighWaterMark;
      if (socket.bytesRead !== read || waitsForUs) {
        read = socket.bytesRead;
        since = now;
      }
      if (now - (whole ? began : since) < most) return;
      clearInterval(timer);
      socket.destroy();
    },
    Math.min(1000, most / 4),
  );
  timer.unref();
  request.once('close', () => clearInterval(timer));
}

/** Bytes that what is sent to an action may have, by the page it is sent from. */
const MOST_BYTES = { list: 9e6, form: 1e6 };

/** A list of papers is brought as a whole; whatever else is typed is a form. */
const mostBytes = (url: string): number =>
  /^\/papers(?:[/?]|$)/.test(url) ? MOST_BYTES.list : MOST_BYTES.form;

/** Values that a page of ours sends are words, lists and maps of them; `$` begins what is none. */
const isPlain = (part: unknown): boolean =>
  typeof part === 'string'
    ? !part.startsWith('$') || part.startsWith('$$') || part === '$undefined'
    : typeof part !== 'object' || part === null || Object.values(part).every(isPlain);

/** Reads a body whole; null when it has more bytes than it may. */
async function wholeBody(request: IncomingMessage, most: number): Promise<Buffer | null> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    bytes += part.length;
    // What is too much is read to its end, so that the answer is heard; it is not kept.
    if (bytes <= most) parts.push(part);
    else if (bytes > 20 * most) break;
  }
  return bytes > most ? null : Buffer.concat(parts);
}

/** The same request with its body read already. */
function withBody(request: IncomingMessage, body: Buffer): IncomingMessage {
  const again = new IncomingMessage(request.socket);
  const { method, url, headers, rawHeaders, httpVersion, httpVersionMajor } = request;
  const { httpVersionMinor, complete } = request;
  Object.assign(again, { method, url, rawHeaders, httpVersion, httpVersionMajor });
  Object.assign(again, { httpVersionMinor, complete, headers });
  again.push(body);
  again.push(null);
  return again;
}

/**
 * What is sent to a page as a call of an action, read and looked at before anybody acts on it:
 * words in a form that pages of ours send, of a length that forms have.
 */
export async function actionCall(
  request: IncomingMessage,
): Promise<{ call: IncomingMessage } | { refused: Misshapen }> {
  const { headers, url = '' } = request;
  const most = mostBytes(url);
  const body = await wholeBody(request, most);
  if (body === null) {
    const words = `More than ${most / 1e6} MB were sent: no form of this studio is that long. Nothing was kept.`;
    return { refused: { status: 413, words } };
  }
  const refuse = (status: number, words: string) => ({ refused: { status, words } });
  if (headers['next-action'] === undefined)
    return refuse(405, 'This page takes nothing that is sent to it.');
  if (!/^text\/plain\b/.test(headers['content-type'] ?? ''))
    return refuse(415, 'What is sent to a page is sent as text by the page itself.');
  try {
    const sent: unknown = JSON.parse(body.toString('utf8'));
    if (Array.isArray(sent) && isPlain(sent)) return { call: withBody(request, body) };
  } catch {
    // Said below.
  }
  return refuse(400, 'What was sent cannot be read. Reload the page, then try again.');
}
