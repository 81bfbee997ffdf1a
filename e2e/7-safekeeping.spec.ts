import sharp from 'sharp';
import { execFileSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { expect, test } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { bareCell } from '@/core/csv';
import { glassine as commandLine } from './attack/commandLine';
import { pdfText, writeMaster } from './fixtures';
import { packOrder, printFile, upload } from './support/errands';
import { opened } from './support/opened';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-kept';
const PLACE = '/tmp/glassine-kept-elsewhere';
const EDITION = 'src/stations/edition/actions.ts';
const SAFE = 'src/drawers/safekeeping/actions.ts';
const SIZE = 'metricFrames-30x40';
/** Words that would be a formula, an element, the end of a script. */
const FORMULA = '=HYPERLINK("http://elsewhere.example","Slack")';
const ELEMENT = '<img src=x onerror=alert(1)></script>';

let server: StudioServer;
let seeded: Awaited<ReturnType<typeof seedStudio>>;

/** The command line on this studio, or another. */
const glassine = (args: string[], home = HOME) => commandLine(args, home);

/** Every table of a studio, row by row; full-text and other inner tables as they are. */
async function tablesOf(home: string): Promise<Record<string, unknown[]>> {
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  try {
    const names = await client.execute(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    );
    const found: Record<string, unknown[]> = {};
    for (const name of names.rows.map((row) => row.name as string)) {
      const { rows } = await client.execute(`SELECT * FROM "${name}"`);
      found[name] = rows.map((row) => Object.values(row).map(String));
    }
    return found;
  } finally {
    client.close();
  }
}

const filesOf = (home: string) =>
  readdirSync(join(home, 'files'), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.length > 3)
    .sort()
    .map((name) => [name, readFileSync(join(home, 'files', name)).toString('base64')]);

test.beforeAll(async () => {
  test.setTimeout(900_000);
  for (const folder of [HOME, PLACE]) rmSync(folder, { recursive: true, force: true });
  mkdirSync(PLACE);
  seeded = await seedStudio(HOME, { editionOf: 400, numbered: 3, orders: 2 });
  server = new StudioServer(HOME, 4192);
  await server.start();
  expect(await upload(server, await writeMaster('kept.tif', 1500, 2000))).toBe(201);
  await printFile(server, SIZE);
  await packOrder(server, seeded.orderNumbers[0]!);
});
test.afterAll(() => server.kill());

const count = async (sql: string) => Number((await server.rows(sql))[0]!.n);
const given = () => count("SELECT count(*) AS n FROM ledger WHERE kind = 'assigned'");

test('a backup from the command line while numbers are given out is one moment of it', async () => {
  const archive = join(PLACE, 'busy.zip');
  const before = await given();
  let going = true;
  const busy = (async () => {
    while (going)
      await server.action(`/works/1/edition`, EDITION, 'assign', {
        editionId: String(seeded.editionId),
        sizeKey: SIZE,
        series: 'number',
        overruled: 'a test without proofs',
        requested: '',
      });
  })();
  const made = await glassine(['backup', archive]);
  going = false;
  await busy;
  expect(made).toMatchObject({ code: 0 });
  expect(made.said).toMatch(/busy\.zip: \d+ files, [\d.]+ MB/);

  const home = join(PLACE, 'busy');
  const restored = await glassine(['restore', archive, home]);
  expect(restored.said).toMatch(/restored as it was at .*, \d+ files checked/);
  const { ledger } = await tablesOf(home);
  const numbers = ledger!.filter((row) => (row as string[]).includes('assigned')).length;
  expect(numbers).toBeGreaterThanOrEqual(before);
  expect(numbers).toBeLessThan(await given());
  expect((await glassine(['check'], home)).said).toContain('the ledger holds');
});

test('a studio restored from one press is the same to the last byte, and works', async ({
  page,
}) => {
  await server.action('/safekeeping', SAFE, 'setBackupFolder', { folder: PLACE });
  await opened(page, `${server.url}/safekeeping`);
  await page.getByRole('button', { name: 'Make a backup' }).click();
  const made = () => readdirSync(PLACE).find((n) => n.startsWith('glassine-'));
  await expect.poll(made, { timeout: 240_000 }).toBeDefined();
  const name = made()!;
  await expect(page.getByRole('cell', { name })).toBeVisible();

  const home = join(PLACE, 'same');
  expect(await glassine(['restore', join(PLACE, name), home])).toMatchObject({ code: 0 });
  const [was, is] = [await tablesOf(HOME), await tablesOf(home)];
  expect(Object.keys(is)).toEqual(Object.keys(was));
  for (const table of Object.keys(was))
    // The backup's own job ended after the copy was taken.
    if (table !== 'job')
      expect({ table, rows: is[table] }).toEqual({ table, rows: was[table] });
  expect(is.job!.length).toBe(was.job!.length);
  expect(filesOf(home)).toEqual(filesOf(HOME));
  expect(filesOf(home).length).toBeGreaterThan(4);

  const other = new StudioServer(home, 4191);
  await other.start();
  try {
    // Tiles and preview are not in a backup: they are made again by themselves.
    await expect
      .poll(
        async () =>
          (
            await other.rows("SELECT state FROM job WHERE kind = 'read' ORDER BY id DESC")
          )[0]?.state,
        { timeout: 240_000 },
      )
      .toBe('done');
    const derived = readdirSync(join(home, 'derived'), { recursive: true }).map(String);
    expect(derived).toContainEqual(expect.stringMatching(/preview\.jpg$/));
    for (const view of ['/works/1/edition', '/orders', '/log', '/accounts']) {
      const words = async (url: string) => {
        await opened(page, url + view);
        return page.locator('main').innerText();
      };
      expect(await words(other.url)).toBe(await words(server.url));
    }
  } finally {
    await other.kill();
  }
});

test('nothing is restored over something, nor from a damaged backup', async () => {
  const archive = join(PLACE, 'whole.zip');
  expect(await glassine(['backup', archive])).toMatchObject({ code: 0 });
  const full = await glassine(['restore', archive, HOME]);
  expect(full).toMatchObject({ code: 1 });
  expect(full.said).toContain('is not empty, and nothing is ever restored over something');

  const bytes = readFileSync(archive);
  bytes[Math.floor(bytes.length / 2)]! ^= 0x40;
  const bad = join(PLACE, 'bad.zip');
  writeFileSync(bad, bytes);
  const home = join(PLACE, 'never');
  const refused = await glassine(['restore', bad, home]);
  expect(refused).toMatchObject({ code: 1 });
  expect(refused.said).not.toMatch(/\n\s+at /);
  expect(existsSync(home)).toBe(false);
  expect(existsSync(`${home}.restoring`)).toBe(false);

  const again = await glassine(['backup', archive]);
  expect(again.said).toContain('is there already; name a new file');

  // A backup is held against itself without being restored, and nothing of it is left.
  const before = readdirSync(PLACE);
  const whole = await glassine(['verify', archive]);
  expect(whole).toMatchObject({ code: 0 });
  expect(whole.said).toMatch(/: whole, made .*; \d+ files, and the ledger holds\./);
  expect(await glassine(['verify', bad])).toMatchObject({ code: 1 });
  expect(readdirSync(PLACE)).toEqual(before);
});

test('a command says what it takes, refuses what it does not know, and takes a folder in', async () => {
  expect((await glassine(['--help'])).said).toMatch(/intake PATH[^]*passphrase/);
  expect((await glassine(['intake', '--help'])).said).toContain('--width');
  for (const wrong of [['check', '--colour'], ['check', 'more'], ['backup'], ['fly']]) {
    const { code, said } = await glassine(wrong);
    expect([wrong, code]).toEqual([wrong, 1]);
    expect(said).not.toMatch(/\n\s+at /);
  }
  const home = join(PLACE, 'restored-for-intake');
  const archive = readdirSync(PLACE).find((n) => n.endsWith('.zip') && n !== 'bad.zip')!;
  await glassine(['restore', join(PLACE, archive), home]);
  const scans = join(PLACE, 'scans');
  mkdirSync(scans);
  renameSync(
    await writeMaster('weir-at-noon.tif', 400, 300),
    join(scans, 'weir-at-noon.tif'),
  );
  await sharp({ create: { width: 60, height: 40, channels: 3, background: '#777' } })
    .png()
    .toFile(join(scans, 'no-size.png'));
  const taken = await glassine(['intake', scans], home);
  expect(taken.code).toBe(1);
  const lines = taken.said
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as object);
  expect(lines).toMatchObject([
    {
      file: expect.stringMatching(/no-size\.png$/),
      error: expect.stringContaining('how large'),
    },
    { file: expect.stringMatching(/weir-at-noon\.tif$/), work: expect.any(Number) },
  ]);
  const known = await glassine(
    ['intake', join(scans, 'no-size.png'), '--width', '30cm'],
    home,
  );
  expect(known).toMatchObject({ code: 0 });
  const listed = await glassine(['list', 'works', '--json', '--find', 'noon'], home);
  expect(JSON.parse(listed.said)).toMatchObject({
    title: 'Weir at noon',
    megapixels: 0.12,
  });
});

test('every table goes out as CSV and JSON, and no cell of it is a formula', async () => {
  const named = await server.action<number>(
    '/works/new',
    'src/drawers/works/actions.ts',
    'createWork',
    {
      title: FORMULA,
      artist: '@SUM(A1)',
      year: '2026',
      kind: 'painting',
      medium: '+1+1',
      width: '30 cm',
      height: '40 cm',
      price: '100',
    },
  );
  expect(named).toMatchObject({ ok: true });
  const zip = join(PLACE, 'tables.zip');
  const answer = await fetch(`${server.url}/api/export`);
  expect(answer.headers.get('content-type')).toBe('application/zip');
  writeFileSync(zip, Buffer.from(await answer.arrayBuffer()));
  const folder = join(PLACE, 'tables');
  execFileSync('python3', ['-m', 'zipfile', '-e', zip, folder]);
  expect(readdirSync(join(HOME, 'tmp'))).toEqual([]);

  const tables = readdirSync(folder).filter((n) => n.endsWith('.csv'));
  expect(tables).toEqual(
    expect.arrayContaining(['work.csv', 'ledger.csv', 'orders.csv', 'paper.csv']),
  );
  for (const table of tables) {
    const lines: string[][] = parse(readFileSync(join(folder, table), 'utf8'));
    const json = JSON.parse(
      readFileSync(join(folder, table.replace('.csv', '.json')), 'utf8'),
    ) as Record<string, string | number | null>[];
    const rows = await count(`SELECT count(*) AS n FROM "${table.slice(0, -4)}"`);
    expect({ table, csv: lines.length - 1, json: json.length }).toEqual({
      table,
      csv: rows,
      json: rows,
    });
    // Gathered and then asked once: there are tens of thousands of cells.
    const [head, ...body] = lines;
    const formulas = body.flat().filter((cell) => /^[=+@\t\r]/.test(cell));
    const differ = body.flatMap((line, i) =>
      line
        .map((cell, c) => [bareCell(cell), String(json[i]![head![c]!] ?? '')])
        .filter(([cell, value]) => cell !== value),
    );
    expect({ table, formulas, differ }).toEqual({ table, formulas: [], differ: [] });
  }
  const listed = await glassine(['export', join(PLACE, 'by-command')]);
  expect(listed.said).toContain('work: 2');
});

test('words that look like code stay words, on every page and in every document', async ({
  page,
}) => {
  const errors: string[] = [];
  page.on('dialog', (d) => {
    errors.push(d.message());
    void d.dismiss();
  });
  page.on('pageerror', (e) => errors.push(e.message));
  await opened(page, `${server.url}/works/1/edit`);
  await page.getByLabel('Title', { exact: true }).fill(`Slack Water ${ELEMENT}`);
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await page.waitForURL(/works\/1\/(?!edit)/);
  for (const view of ['/', '/works', '/works/1/size', '/works/1/pack', '/orders', '/log']) {
    await opened(page, server.url + view);
    expect(await page.locator('img[src="x"]').count()).toBe(0);
    const html = await (await fetch(server.url + view)).text();
    expect(html).not.toContain('<img src=x');
  }
  await opened(page, `${server.url}/works/1/size`);
  await expect(page.getByRole('heading', { name: ELEMENT })).toBeVisible();
  await packOrder(server, seeded.orderNumbers[1]!);
  const [certificate] = await server.rows(
    "SELECT sha256 FROM document WHERE kind = 'certificate' ORDER BY id DESC LIMIT 1",
  );
  const hash = certificate!.sha256 as string;
  const text = pdfText(join(HOME, 'files', hash.slice(0, 2), hash)).replace(/\s+/g, ' ');
  expect(text).toContain('onerror=alert(1)');
  expect(errors).toEqual([]);
});
