import type { IncomingMessage } from 'node:http';

/** What is wrong with a request before anything of it is read: a status, and a sentence. */
export interface Misshapen {
  status: number;
  words: string;
}

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];

/** Whether every escaped sign of an address stands for a character (RFC 3986, section 2.1). */
function isReadable(url: string): boolean {
  try {
    decodeURIComponent(new URL(url, 'http://x').pathname);
    return true;
  } catch {
    return false;
  }
}

/**
 * Whether a request is one that a page or a program of ours sends: a known method, a path of
 * this server, one Host line (RFC 9112, section 3). Null when it is.
 */
export function misshapen(
  request: Pick<IncomingMessage, 'method' | 'url' | 'rawHeaders'>,
): Misshapen | null {
  const { method = '', url = '', rawHeaders } = request;
  if (!METHODS.includes(method))
    return { status: 405, words: `${method} is not a method that this studio answers.` };
  if (!/^\/(?![/\\])/.test(url) || !isReadable(url))
    return { status: 400, words: 'This is not an address within this studio.' };
  const hosts = rawHeaders.filter((name, i) => i % 2 === 0 && /^host$/i.test(name));
  return hosts.length > 1
    ? { status: 400, words: 'The request names more than one host.' }
    : null;
}
