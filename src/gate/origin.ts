import { isIP } from 'node:net';

/** What a request says of where it comes from. */
export interface Asking {
  method: string;
  host: string | undefined;
  origin: string | undefined;
  /** `Sec-Fetch-Site`: same-origin, same-site, cross-site or none. */
  fetchSite: string | undefined;
  /** `Sec-Fetch-Mode`; `navigate` when a person follows a link. */
  fetchMode: string | undefined;
}

export type Refusal = 'foreignHost' | 'foreignOrigin';

const LOCAL = new Set(['localhost', '127.0.0.1', '::1']);

/** Name of a `Host` or origin, without its port and brackets; null when it is malformed. */
export function hostName(host: string): string | null {
  const match = /^(?:\[([0-9a-f:.]+)\]|([^:/@[\]\s]+))(?::\d{1,5})?$/i.exec(host);
  return match ? (match[1] ?? match[2] ?? '').toLowerCase() : null;
}

/**
 * Whether a request may pass. `Host` must name this machine itself: a foreign name that was
 * made to point here is how a web page would get around the browser's own rules. On a
 * network, addresses and the names given as `known` are good too. What changes something,
 * and whatever a page elsewhere fetches, must come from our own pages.
 */
export function refusalOf(
  asking: Asking,
  { network, known }: { network: boolean; known: readonly string[] },
): Refusal | null {
  const name = asking.host === undefined ? null : hostName(asking.host);
  if (name === null) return 'foreignHost';
  const ours = LOCAL.has(name) || known.includes(name) || (network && isIP(name) !== 0);
  if (!ours) return 'foreignHost';
  if (asking.origin !== undefined && !fromOurselves(asking.origin, asking.host!))
    return 'foreignOrigin';
  const reading = asking.method === 'GET' || asking.method === 'HEAD';
  const byLink = reading && asking.fetchMode === 'navigate';
  if (asking.fetchSite === 'cross-site' && !byLink) return 'foreignOrigin';
  if (asking.fetchSite === 'same-site' && !reading) return 'foreignOrigin';
  return null;
}

/** An origin is ours when it names the very host, port included, that was asked. */
function fromOurselves(origin: string, host: string): boolean {
  const match = /^https?:\/\/(.+)$/i.exec(origin);
  return match !== null && match[1]!.toLowerCase() === host.toLowerCase();
}
