import { randomBytes } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { enterPage, ownPath } from './enterPage';
import { SAFE_HEADERS, contentPolicy } from './headers';
import { refusalOf } from './origin';
import { AllTries, Sessions, TryLimit, isPassphrase } from './passphrase';
import type { KeptPassphrase } from './passphrase';
import type { Misshapen } from './shape';

export interface GateOptions {
  /** Whether it listens to other machines. */
  network: boolean;
  /** Names under which other machines know this one. */
  known: readonly string[];
  /** Asked of everybody where there is one. */
  passphrase: KeptPassphrase | null;
  clock: () => number;
}

const COOKIE = 'glassine';
const LONGEST_FORM = 4096;
const WORDS = {
  foreignHost:
    'This address is not one of this studio. Open Glassine under the address that it named at its start, or list this name in GLASSINE_HOSTS.',
  foreignOrigin: 'This request came from another site and was refused.',
};

const one = (value: string | string[] | undefined): string | undefined =>
  Array.isArray(value) ? value[0] : value;

function cookieOf(request: IncomingMessage): string | undefined {
  const all = (request.headers.cookie ?? '').split(';').map((c) => c.trim());
  return all.find((c) => c.startsWith(`${COOKIE}=`))?.slice(COOKIE.length + 1);
}

async function formOf(request: IncomingMessage): Promise<URLSearchParams> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > LONGEST_FORM) break;
  }
  return new URLSearchParams(text.slice(0, LONGEST_FORM));
}

function answer(
  response: ServerResponse,
  status: number,
  body: string,
  type = 'text/plain',
) {
  response.statusCode = status;
  response.setHeader('content-type', `${type}; charset=utf-8`);
  response.end(body);
}

/** Says no with the headers that every answer has. */
export function sayNo(response: ServerResponse, { status, words }: Misshapen): void {
  for (const [name, value] of Object.entries(SAFE_HEADERS)) response.setHeader(name, value);
  response.setHeader('content-security-policy', contentPolicy(''));
  answer(response, status, words);
}

/**
 * Stands before every request: the Host and Origin rules, the headers of every answer with
 * a nonce of its own, and the passphrase on a network. Answers whether the request may go on;
 * if not, it has been answered.
 */
export function openGate(options: GateOptions) {
  const sessions = new Sessions(options.clock);
  const limit = new TryLimit(options.clock);
  const all = new AllTries(options.clock);

  async function enter(request: IncomingMessage, response: ServerResponse, nonce: string) {
    const address = request.socket.remoteAddress ?? '';
    const refuse = (status: number, words: string, next: string) =>
      answer(response, status, enterPage(nonce, words, next), 'text/html');
    if (request.method !== 'POST') {
      const { searchParams } = new URL(request.url ?? '/', 'http://x');
      return refuse(200, '', ownPath(searchParams.get('next')));
    }
    const form = await formOf(request);
    const next = ownPath(form.get('next'));
    const wait = Math.max(limit.wait(address), all.wait());
    if (wait > 0)
      return refuse(429, `Too many wrong tries. Try again in ${wait} seconds.`, next);
    // Counted before it is known to be right, so that tries side by side gain nothing.
    limit.wrong(address);
    all.tried();
    if (!(await isPassphrase(options.passphrase!, form.get('passphrase') ?? '')))
      return refuse(401, 'This is not the passphrase of this studio.', next);
    limit.right(address);
    response.setHeader(
      'set-cookie',
      `${COOKIE}=${sessions.open()}; Path=/; HttpOnly; SameSite=Strict; Max-Age=43200`,
    );
    response.setHeader('location', next);
    answer(response, 303, '');
  }

  return async function mayPass(
    request: IncomingMessage,
    response: ServerResponse,
  ): Promise<boolean> {
    const { headers } = request;
    const nonce = randomBytes(16).toString('base64');
    const policy = contentPolicy(nonce);
    for (const [name, value] of Object.entries(SAFE_HEADERS))
      response.setHeader(name, value);
    response.setHeader('content-security-policy', policy);
    // The renderer reads the nonce from the request; whatever was sent under these names goes.
    headers['content-security-policy'] = policy;
    headers['x-nonce'] = nonce;
    const refused = refusalOf(
      {
        method: request.method ?? 'GET',
        host: headers.host,
        origin: one(headers.origin),
        fetchSite: one(headers['sec-fetch-site']),
        fetchMode: one(headers['sec-fetch-mode']),
      },
      options,
    );
    if (refused) {
      answer(response, 403, WORDS[refused]);
      return false;
    }
    if (options.passphrase === null) return true;
    const path = new URL(request.url ?? '/', 'http://x').pathname;
    if (path === '/enter') {
      await enter(request, response, nonce);
      return false;
    }
    if (path === '/leave' && request.method === 'POST') {
      sessions.close(cookieOf(request));
      response.setHeader('location', '/enter');
      answer(response, 303, '');
      return false;
    }
    if (sessions.holds(cookieOf(request))) return true;
    const page = request.method === 'GET' && (headers.accept ?? '').includes('text/html');
    if (page) {
      response.setHeader(
        'location',
        `/enter?next=${encodeURIComponent(request.url ?? '/')}`,
      );
      answer(response, 303, '');
    } else answer(response, 401, 'Give the passphrase first.');
    return false;
  };
}
