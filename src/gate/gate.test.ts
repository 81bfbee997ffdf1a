import { createServer, request as ask } from 'node:http';
import type { IncomingHttpHeaders, OutgoingHttpHeaders, Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { hostName, openGate, refusalOf, keepPassphrase, isPassphrase } from '.';
import type { GateOptions } from '.';
import { ownPath } from './enterPage';
import { Sessions, TryLimit } from './passphrase';

const clock = { ms: 1_000_000 };
const servers: Server[] = [];
afterEach(() => servers.splice(0).forEach((s) => s.close()));

/** A server of which only the gate is real; what passes is answered with its own nonce. */
async function gated(over: Partial<GateOptions> = {}) {
  const options = {
    network: false,
    known: [],
    passphrase: null,
    clock: () => clock.ms,
    ...over,
  };
  const mayPass = openGate(options);
  const server = createServer((req, res) => {
    void mayPass(req, res).then(
      (may) => may && res.end(`passed ${String(req.headers['x-nonce'])}`),
    );
  });
  servers.push(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const send = (
    path: string,
    headers: OutgoingHttpHeaders = {},
    method = 'GET',
    body = '',
  ) =>
    new Promise<{ status: number; headers: IncomingHttpHeaders; body: string }>(
      (done, failed) => {
        const req = ask({
          port,
          path,
          method,
          headers: { host: `127.0.0.1:${port}`, ...headers },
        });
        req.on('response', (res) => {
          let text = '';
          res.on('data', (c) => (text += String(c)));
          res.on('end', () =>
            done({ status: res.statusCode!, headers: res.headers, body: text }),
          );
        });
        req.on('error', failed);
        req.end(body);
      },
    );
  return { port, send };
}

describe('Host and Origin', () => {
  it('lets this machine in under its own names only', async () => {
    const { port, send } = await gated();
    for (const host of [
      `127.0.0.1:${port}`,
      `localhost:${port}`,
      `[::1]:${port}`,
      'LOCALHOST',
    ])
      expect((await send('/', { host })).status).toBe(200);
    for (const host of [
      'studio.example',
      `studio.example:${port}`,
      '192.168.1.7',
      'localhost.example',
      '127.0.0.1.example',
      '127.0.0.1@example',
      'localhost:1:2',
    ])
      expect((await send('/', { host })).status).toBe(403);
  });

  it('refuses what another site sends, whatever it is', async () => {
    const { port, send } = await gated();
    const own = `http://127.0.0.1:${port}`;
    expect((await send('/a', { origin: own }, 'POST')).status).toBe(200);
    expect((await send('/a', {}, 'POST')).status).toBe(200);
    for (const origin of [
      'http://studio.example',
      'null',
      `http://127.0.0.1:${port + 1}`,
      `${own}.example`,
    ])
      expect((await send('/a', { origin }, 'POST')).status).toBe(403);
    expect(
      (
        await send('/api/previews/x', {
          'sec-fetch-site': 'cross-site',
          'sec-fetch-mode': 'no-cors',
        })
      ).status,
    ).toBe(403);
    expect(
      (
        await send('/works', {
          'sec-fetch-site': 'cross-site',
          'sec-fetch-mode': 'navigate',
        })
      ).status,
    ).toBe(200);
    expect(
      (
        await send(
          '/works',
          { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' },
          'POST',
        )
      ).status,
    ).toBe(403);
  });

  it('on a network knows addresses and the names given, no others', () => {
    const from = (host: string) =>
      refusalOf(
        {
          method: 'GET',
          host,
          origin: undefined,
          fetchSite: undefined,
          fetchMode: undefined,
        },
        { network: true, known: ['studio.lan'] },
      );
    expect(from('192.168.1.7:4173')).toBeNull();
    expect(from('studio.lan:4173')).toBeNull();
    expect(from('studio.example:4173')).toBe('foreignHost');
    expect(hostName('[fe80::1]:80')).toBe('fe80::1');
    expect(hostName('a b')).toBeNull();
    expect(hostName('')).toBeNull();
  });
});

describe('headers', () => {
  it('every answer forbids framing, sniffing and eval, under a nonce of its own', async () => {
    const { send } = await gated();
    const [one, other] = [await send('/'), await send('/', { 'x-nonce': 'mine' })];
    const policy = String(one.headers['content-security-policy']);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain("'unsafe-eval'");
    expect(policy).toMatch(
      /script-src 'self' 'nonce-[\w+/=]{20,}' 'strict-dynamic' 'wasm-unsafe-eval';/,
    );
    expect(one.headers['x-frame-options']).toBe('DENY');
    expect(one.headers['x-content-type-options']).toBe('nosniff');
    const nonce = one.body.replace('passed ', '');
    expect(policy).toContain(nonce);
    expect(other.body).not.toContain(nonce);
    expect(other.body).not.toContain('mine');
  });
});

describe('passphrase', () => {
  it('is kept as a salted key and known again', async () => {
    const kept = await keepPassphrase('low tide at noon');
    expect(JSON.stringify(kept)).not.toContain('tide');
    expect(kept).not.toEqual(await keepPassphrase('low tide at noon'));
    expect(await isPassphrase(kept, 'low tide at noon')).toBe(true);
    expect(await isPassphrase(kept, 'low tide at noon ')).toBe(false);
    await expect(keepPassphrase('short')).rejects.toThrow('at least 12');
  });

  it('keeps everyone out until it is given, and again after leaving', async () => {
    const passphrase = await keepPassphrase('low tide at noon');
    const { send } = await gated({ network: true, passphrase });
    const page = await send('/works?page=2', { accept: 'text/html' });
    expect([page.status, page.headers.location]).toEqual([
      303,
      '/enter?next=%2Fworks%3Fpage%3D2',
    ]);
    expect((await send('/api/find?find=a')).status).toBe(401);
    expect((await send('/_next/static/x.js')).status).toBe(401);
    const form = (typed: string, next = '/works') =>
      send(
        '/enter',
        { 'content-type': 'application/x-www-form-urlencoded' },
        'POST',
        new URLSearchParams({ passphrase: typed, next }).toString(),
      );
    expect((await form('high tide at noon')).status).toBe(401);
    const right = await form('low tide at noon', '//elsewhere.example');
    expect([right.status, right.headers.location]).toEqual([303, '/']);
    const [set] = right.headers['set-cookie']!;
    expect(set).toMatch(/HttpOnly; SameSite=Strict/);
    const cookie = set!.split(';')[0]!;
    expect((await send('/works', { cookie })).body).toMatch(/^passed/);
    expect((await send('/works', { cookie: 'glassine=guess' })).status).toBe(401);
    await send('/leave', { cookie }, 'POST');
    expect((await send('/works', { cookie })).status).toBe(401);
  });

  it('makes whoever guesses wait', async () => {
    const passphrase = await keepPassphrase('low tide at noon');
    const { send } = await gated({ network: true, passphrase });
    const guess = (typed: string) =>
      send('/enter', {}, 'POST', new URLSearchParams({ passphrase: typed }).toString());
    for (let i = 0; i < 5; i += 1) expect((await guess('wrong')).status).toBe(401);
    const late = await guess('low tide at noon');
    expect(late.status).toBe(429);
    expect(late.body).toContain('60 seconds');
    clock.ms += 61_000;
    expect((await guess('low tide at noon')).status).toBe(303);
  });

  it('sessions end, waits grow', () => {
    const sessions = new Sessions(() => clock.ms);
    const token = sessions.open();
    expect([sessions.holds(token), sessions.holds('x'), sessions.holds(undefined)]).toEqual(
      [true, false, false],
    );
    clock.ms += 13 * 3600_000;
    expect(sessions.holds(token)).toBe(false);
    const limit = new TryLimit(() => clock.ms);
    const waits = Array.from({ length: 8 }, () => (limit.wrong('a'), limit.wait('a')));
    expect(waits).toEqual([0, 0, 0, 0, 60, 120, 240, 480]);
    expect(limit.wait('b')).toBe(0);
  });

  it('escapes what it shows, and goes on only to our own paths', async () => {
    const passphrase = await keepPassphrase('low tide at noon');
    const { send } = await gated({ network: true, passphrase });
    const { body } = await send('/enter?next=/%22%3E%3Cscript%3E');
    expect(body).not.toContain('<script');
    expect(ownPath('/works?x=1')).toBe('/works?x=1');
    for (const bad of ['//x', '/\\x', 'http://x', '/a\r\nb', null])
      expect(ownPath(bad)).toBe('/');
  });
});
