import { request as ask } from 'node:http';
import { mkdirSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-gate';
/** An address of this machine that is not one of its own names. */
const ELSEWHERE = '127.0.0.2';
const PASSPHRASE = 'nine gulls on the weir';

const own = new StudioServer(join(HOME, 'own'), 4187);
const shared = new StudioServer(join(HOME, 'shared'), 4189, {
  GLASSINE_BIND: ELSEWHERE,
  GLASSINE_PASSPHRASE: PASSPHRASE,
});

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  for (const server of [own, shared]) {
    mkdirSync(server.home, { recursive: true });
    await seedStudio(server.home, { editionOf: 5, numbered: 1, orders: 0 });
    await server.start();
  }
});
test.afterAll(() => Promise.all([own.kill(), shared.kill()]));

interface Asked {
  method?: string;
  path?: string;
  headers?: Record<string, string>;
}

/** Asks with whatever headers, as no browser would let a page do. */
const asking = (
  server: StudioServer,
  { method = 'GET', path = '/works', headers }: Asked,
) =>
  new Promise<{ status: number; headers: NodeJS.Dict<string | string[]>; body: string }>(
    (done, fail) => {
      const { hostname, port } = new URL(server.url);
      const request = ask({ hostname, port, method, path, headers }, (response) => {
        let body = '';
        response.on('data', (part: Buffer) => (body += String(part)));
        response.on('end', () =>
          done({ status: response.statusCode!, headers: response.headers, body }),
        );
      });
      request.on('error', fail);
      request.end();
    },
  );

const opens = (host: string, port: number) =>
  new Promise<boolean>((done) => {
    const socket = connect({ host, port }, () => {
      socket.destroy();
      done(true);
    });
    socket.on('error', () => done(false));
  });

test('it listens on this machine alone unless told otherwise', async () => {
  expect(await opens('127.0.0.1', own.port)).toBe(true);
  expect(await opens(ELSEWHERE, own.port)).toBe(false);
  expect(await opens('::1', own.port)).toBe(false);
});

for (const path of [
  '/works',
  '/api/find?find=slack',
  '/api/export',
  '/icon.svg',
  '/_next/x',
])
  test(`${path}: a name that was made to point here is refused`, async () => {
    const { status, body } = await asking(own, {
      path,
      headers: { host: 'studio.example' },
    });
    expect(status).toBe(403);
    expect(body).toContain('not one of this studio');
  });

test('what another site sends changes nothing', async () => {
  const before = await own.rows('SELECT count(*) AS n FROM log_line');
  const foreign: Record<string, string>[] = [
    { origin: 'http://elsewhere.example' },
    { origin: 'null' },
    { origin: `http://127.0.0.1:${own.port + 1}` },
    { 'sec-fetch-site': 'cross-site' },
  ];
  for (const headers of foreign)
    for (const [method, path] of [
      ['PUT', '/api/masters?work=1&name=a.tif'],
      ['POST', '/works/1/edition'],
      ['DELETE', '/api/jobs/1'],
      ['POST', '/api/jobs/1'],
    ] as const)
      expect((await asking(own, { method, path, headers })).status).toBe(403);
  expect(await own.rows('SELECT count(*) AS n FROM log_line')).toEqual(before);
});

test('every answer forbids what a page of ours never needs', async () => {
  const nonces = new Set<string>();
  for (const path of ['/works', '/works/1/size', '/no-such-page', '/api/find?find=a']) {
    const { headers } = await asking(own, { path });
    const policy = String(headers['content-security-policy']);
    expect(policy).toMatch(
      /default-src 'self'; script-src 'self' 'nonce-[^']+' 'strict-dynamic' 'wasm-unsafe-eval';/,
    );
    expect(policy).not.toMatch(/'unsafe-eval|script-src[^;]*unsafe-inline|https?:|\*/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers).toMatchObject({
      'x-frame-options': 'DENY',
      'x-content-type-options': 'nosniff',
    });
    nonces.add(/nonce-([^']+)/.exec(policy)![1]!);
  }
  expect(nonces.size).toBe(4);
});

test('no outside name becomes a path', async () => {
  for (const path of [
    '/api/tiles/../../studio.db',
    '/api/tiles/..%2f..%2fstudio.db',
    `/api/tiles/${'a'.repeat(64)}/..%2f..%2f..%2fstudio.db`,
    '/api/previews/..%2f..%2fstudio.db',
    '/api/documents/..%2f1',
    '/api/print-files/1%00',
  ]) {
    const { status, body } = await asking(own, { path });
    expect({ path, status }).toEqual({ path, status: 404 });
    expect(body).not.toContain('SQLite format');
  }
});

test('an address with nonsense in it shows what there is, or that it is not there', async () => {
  const nonsense = [
    'x',
    '-1',
    '0',
    '1e999',
    '9'.repeat(40),
    '%27%20OR%201',
    '%00',
    '..%2f',
    '__proto__',
  ];
  const paths = nonsense.flatMap((n) => [
    `/works/${n}/size`,
    `/works/1/size?size=${n}`,
    `/works/1/edition?size=${n}&impression=${n}`,
    `/orders/${n}?parcel=${n}&line=${n}&do=line`,
    `/materials?material=${n}`,
    `/orders/customers?customer=${n}`,
    `/works?sort=${n}&page=${n}&find=${n}`,
    `/orders?new=1&work=${n}&item=${n}&show=${n}`,
    `/log?work=${n}&impression=${n}:number:${n}`,
    `/papers?paper=${n}&edit=1`,
    `/editions?code=${n}`,
    `/api/find?find=${n}`,
  ]);
  const bad: string[] = [];
  for (const path of paths) {
    const { status } = await asking(own, { path });
    if (![200, 404].includes(status)) bad.push(`${status} ${path}`);
  }
  expect(bad).toEqual([]);
});

test('on a network it does not start without a passphrase, and says how to set one', async () => {
  const open = new StudioServer(join(HOME, 'open'), 4168, { GLASSINE_BIND: ELSEWHERE });
  await expect(open.start()).rejects.toThrow(
    /would let other machines in, and this studio has no passphrase.*npx glassine passphrase/s,
  );
  const short = new StudioServer(join(HOME, 'open'), 4168, {
    GLASSINE_BIND: ELSEWHERE,
    GLASSINE_PASSPHRASE: 'gull',
  });
  await expect(short.start()).rejects.toThrow(/at least \d+ characters/);
});

test('on a network everyone gives the passphrase, once for a session', async ({ page }) => {
  expect(shared.output).toContain('asks everyone for the passphrase');
  expect(shared.output).toContain('not encrypted');
  for (const path of ['/api/find?find=slack', '/api/export', '/api/previews/x']) {
    const { status, body } = await asking(shared, { path });
    expect({ path, status, body }).toEqual({
      path,
      status: 401,
      body: 'Give the passphrase first.',
    });
  }
  await page.goto(`${shared.url}/works/1/edit`);
  await expect(page).toHaveURL(/\/enter\?next=%2Fworks%2F1%2Fedit/);
  await page.getByLabel('Passphrase of this studio').fill('ten gulls on the weir');
  await page.getByRole('button', { name: 'Enter' }).click();
  await expect(page.getByRole('alert')).toContainText('not the passphrase of this studio');
  await page.getByLabel('Passphrase of this studio').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Enter' }).click();
  await expect(page).toHaveURL(/\/works\/1\/edit/);
  const [cookie] = await page.context().cookies();
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
  // The page is alive behind the gate: an action passes with the cookie.
  await expect(page.locator('html[data-keys=on]')).toHaveCount(1);
  await expect(page.locator('main [aria-busy=true]')).toHaveCount(0);
  await page.getByLabel('Medium', { exact: true }).fill('Casein');
  // A press that comes before this part of the page is alive does nothing: it is pressed again.
  await expect(async () => {
    const keep = page.getByRole('button', { name: 'Keep the changes' });
    if (page.url().endsWith('/edit')) await keep.click({ timeout: 5000 });
    await page.waitForURL(/works\/1\/(?!edit)/, { timeout: 15_000 });
  }).toPass();
  expect((await shared.rows('SELECT medium FROM work'))[0]?.medium).toBe('Casein');
  await shared.kill();
  await shared.start();
  await page.goto(`${shared.url}/works`);
  await expect(page).toHaveURL(/\/enter/);
});
