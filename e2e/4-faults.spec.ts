import { execFileSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { expect, test } from '@playwright/test';
import { writeMaster } from './fixtures';
import { PREPARE, printOrder } from './support/errands';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-faults';
const SIZE = 'metricFrames-30x40';
const EDITION = 'src/stations/edition/actions.ts';
const SAFE = 'src/drawers/safekeeping/actions.ts';

let server: StudioServer;
let seeded: Awaited<ReturnType<typeof seedStudio>>;
const mount = (...options: string[]) =>
  execFileSync('mount', ['-t', 'tmpfs', '-o', options.join(','), 'tmpfs', HOME]);

test.beforeAll(async () => {
  mkdirSync(HOME, { recursive: true });
  mount('size=40m');
  seeded = await seedStudio(HOME, { editionOf: 90, numbered: 3, orders: 2 });
  server = new StudioServer(HOME, 4197);
  await server.start();
});
test.afterAll(async () => {
  await server.kill();
  execFileSync('umount', ['-l', HOME]);
  rmSync(HOME, { recursive: true, force: true });
});

const assign = (requested = '') =>
  server.action<string>(`/works/${seeded.workId}/edition`, EDITION, 'assign', {
    editionId: String(seeded.editionId),
    sizeKey: SIZE,
    series: 'number',
    overruled: 'a test without proofs',
    requested,
  });

async function upload(path: string) {
  const answer = await fetch(
    `${server.url}/api/masters?work=${seeded.workId}&name=sea.tif`,
    {
      method: 'PUT',
      body: readFileSync(path),
    },
  );
  return (await answer.json()) as { ok: boolean; message?: string };
}

const leftovers = () =>
  ['tmp', 'arrivals'].flatMap((folder) => {
    try {
      return readdirSync(join(HOME, folder));
    } catch {
      return [];
    }
  });

/** Takes all room but `left` bytes; answers how to give it back. */
function fill(left: number): () => void {
  const { bavail, bsize } = statfsSync(HOME);
  const path = join(HOME, 'ballast');
  writeFileSync(path, Buffer.alloc(Math.max(0, Number(bavail) * Number(bsize) - left)));
  return () => rmSync(path);
}

test('a full disk is said in words, leaves nothing half-made, and loses nothing', async () => {
  const path = await writeMaster('full.tif', 1200, 1600);
  const empty = fill(9_000_000);
  const refused = await upload(path);
  expect(refused.message).toMatch(/^sea\.tif: The disk with the data folder is full/);
  expect(leftovers()).toEqual([]);
  empty();

  const before = await server.rows('SELECT count(*) AS n FROM ledger');
  const emptyAgain = fill(0);
  let full = await assign();
  // What room is left in pages already taken may hold a few more.
  for (let i = 0; i < 60 && full?.ok; i += 1) full = await assign();
  emptyAgain();
  expect(full).toMatchObject({ ok: false });
  expect((full as { message: string }).message).toMatch(/disk .* is full/);
  const good = await assign();
  expect(good?.ok).toBe(true);
  const after = await server.rows('SELECT count(*) AS n FROM ledger');
  expect(Number(after[0]!.n)).toBeGreaterThan(Number(before[0]!.n));
  expect((await server.rows('PRAGMA integrity_check'))[0]?.integrity_check).toBe('ok');
});

test('a backup and an export that find no room say so, and leave nothing', async () => {
  const empty = fill(100_000);
  const started = await server.action<number>('/safekeeping', SAFE, 'makeBackup', {});
  // Not even the order may find room; then the answer itself says so.
  if (started?.ok) {
    const id = started.value;
    const job = async () =>
      (await server.rows(`SELECT state, error FROM job WHERE id = ${id}`))[0]!;
    await expect.poll(async () => (await job()).state).not.toMatch(/queued|running/);
    expect((await job()).error ?? 'disk is full').toMatch(/disk .* is full/);
  } else
    expect(started).toMatchObject({ message: expect.stringMatching(/disk .* is full/) });
  const exported = await fetch(`${server.url}/api/export`);
  expect(exported.status).toBe(507);
  expect(await exported.text()).toMatch(/disk with the data folder is full/);
  empty();
  expect(leftovers()).toEqual([]);
  expect(
    existsSync(join(HOME, 'backups')) ? readdirSync(join(HOME, 'backups')) : [],
  ).toEqual([]);

  const again = await server.action<number>('/safekeeping', SAFE, 'makeBackup', {});
  const id = (again as { value: number }).value;
  await expect
    .poll(
      async () => (await server.rows(`SELECT state FROM job WHERE id = ${id}`))[0]?.state,
    )
    .toBe('done');
  expect(readdirSync(join(HOME, 'backups'))).toHaveLength(1);
  rmSync(join(HOME, 'backups'), { recursive: true });
});

test('a data folder that cannot be written to is named at the start, with what to do', async () => {
  const folder = '/tmp/glassine-readonly';
  mkdirSync(folder, { recursive: true });
  execFileSync('mount', ['-t', 'tmpfs', '-o', 'ro', 'tmpfs', folder]);
  try {
    await expect(new StudioServer(folder, 4196).start()).rejects.toThrow(
      /cannot write to its data folder .*readonly.*mounted/s,
    );
  } finally {
    execFileSync('umount', [folder]);
  }
});

test('a database that another program holds is said in words, and nothing is lost', async () => {
  const client = createClient({ url: `file:${join(HOME, 'studio.db')}` });
  const held = await client.transaction('write');
  const refused = await assign();
  await held.rollback();
  client.close();
  expect(refused).toMatchObject({ ok: false });
  expect((refused as { message: string }).message).toMatch(/Another program is holding/);
  expect(await assign()).toMatchObject({ ok: true });
});

test('a stored file damaged from outside is found and named with what depends on it, and healed', async () => {
  const path = await writeMaster('damaged.tif', 900, 1200);
  expect(await upload(path)).toMatchObject({ ok: true });
  const [row] = await server.rows('SELECT sha256 FROM file');
  const stored = join(
    HOME,
    'files',
    (row!.sha256 as string).slice(0, 2),
    row!.sha256 as string,
  );
  const bytes = readFileSync(stored);
  bytes[5000] = bytes[5000]! ^ 0xff;
  writeFileSync(stored, bytes);

  const checked = async () => {
    const started = await server.action<number>('/safekeeping', SAFE, 'checkStore', {});
    const id = (started as { value: number }).value;
    await expect
      .poll(
        async () => (await server.rows(`SELECT state FROM job WHERE id = ${id}`))[0]?.state,
      )
      .toBe('done');
    const [job] = await server.rows(`SELECT result FROM job WHERE id = ${id}`);
    return JSON.parse(job!.result as string) as { damaged: { what: string[] }[] };
  };
  const found = await checked();
  expect(found.damaged).toMatchObject([{ what: ['the master sea.tif of “Slack Water”'] }]);
  const page = await (await fetch(`${server.url}/safekeeping`)).text();
  expect(page).toContain('the master sea.tif of “Slack Water”');
  expect(await upload(path)).toMatchObject({ ok: true });
  expect((await checked()).damaged).toEqual([]);
});

test('two processes that number at once never give one number twice', async () => {
  const program = `
    import { openDatabase, assignNumber } from './src/data';
    const db = await openDatabase(${JSON.stringify(HOME)});
    for (let i = 0; i < 12; i += 1)
      await db.write((tx) => assignNumber(tx, { editionId: ${seeded.editionId}, series: 'number', sizeKey: '${SIZE}', at: new Date().toISOString() }));
    db.close();`;
  const { spawn } = await import('node:child_process');
  const run = () =>
    new Promise<number | null>((done) =>
      spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', program]).on(
        'exit',
        done,
      ),
    );
  const [before] = await server.rows(
    "SELECT count(*) AS n FROM ledger WHERE kind = 'assigned'",
  );
  const through = (async () => {
    let given = 0;
    for (let i = 0; i < 12; i += 1) if ((await assign())?.ok) given += 1;
    return given;
  })();
  const codes = await Promise.all([run(), run()]);
  expect(codes).toEqual([0, 0]);
  const given = await through;
  const [after] = await server.rows(
    "SELECT count(*) AS n, count(DISTINCT number) AS different FROM ledger WHERE kind = 'assigned'",
  );
  expect(Number(after!.n)).toBe(Number(before!.n) + 24 + given);
  expect(after!.different).toBe(after!.n);
});

test('a print file that finds no room in the middle says so, and leaves nothing', async () => {
  // Of the master that was healed above.
  // 30 x 40 cm at 300 ppi are 50 MB, more than the whole disk.
  const asked = await server.action<number[]>(
    '/works/1/prepare',
    PREPARE,
    'orderPrintFiles',
    printOrder(seeded.workId, SIZE),
  );
  const [id] = (asked as { value: number[] }).value;
  const job = async () =>
    (await server.rows(`SELECT state, error FROM job WHERE id = ${id}`))[0]!;
  await expect
    .poll(async () => (await job()).state, { timeout: 120_000 })
    .not.toMatch(/queued|running/);
  expect(await job()).toMatchObject({
    state: 'failed',
    error: expect.stringMatching(/disk .* is full/),
  });
  expect(await server.rows('SELECT id FROM print_file')).toEqual([]);
  expect(leftovers()).toEqual([]);
});
