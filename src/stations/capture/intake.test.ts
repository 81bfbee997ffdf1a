import { execFileSync } from 'node:child_process';
import { once } from 'node:events';
import {
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { idle, inProcess, startRealWorkers } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { samplesBy, writeSamples } from '../../../e2e/support/master';
import { currentMaster } from '@/data';
import { isWhole, storePaths } from '@/engine';
import { receiveNamedFile } from './intake';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let path: string;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  path = join(here.open.home, 'pears.tif');
  await writeSamples(
    path,
    samplesBy(60, 80, (x, y, c) => 9000 + 300 * x + 200 * y + 100 * c),
  );
});
afterAll(() => here.end());

it.each([
  ['scans/pears.tif', /is not a full path\. Give it from the root/],
  ['/nowhere/pears.tif', /there is nothing at \/nowhere\/pears\.tif\. Check the path/],
])('%s is refused in words', async (named, words) => {
  const answer = await receiveNamedFile('1', named);
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toMatch(words);
});

it('a folder is not a file', async () => {
  const folder = join(here.open.home, 'scans');
  mkdirSync(folder);
  expect(await receiveNamedFile('1', folder)).toMatchObject({
    message: expect.stringContaining('is a folder, not a file'),
  });
});

it('takes the file in, and leaves it as it was', async () => {
  const before = readFileSync(path);
  expect(await receiveNamedFile('1', path)).toEqual({ ok: true, name: 'pears.tif' });
  await idle(here.open);
  const master = (await currentMaster(here.open.db.read, 1))!;
  expect(master).toMatchObject({ name: 'pears.tif' });
  expect(master.facts).toMatchObject({ width: 60, height: 80, bitsPerChannel: 16 });
  expect(await isWhole(here.open.home, master.sha256)).toBe(true);
  expect(readFileSync(path).equals(before)).toBe(true);
});

it('what is no picture is told by its first bytes: nothing of it is copied', async () => {
  const large = join(here.open.home, 'sparse.tif');
  writeFileSync(large, 'no picture at all');
  truncateSync(large, 3e9);
  const seen: number[] = [];
  const watching = setInterval(() => {
    const { tmp } = storePaths(here.open.home);
    for (const name of readdirSync(tmp)) seen.push(statSync(join(tmp, name)).size);
  }, 5);
  const answer = await receiveNamedFile('1', large);
  clearInterval(watching);
  rmSync(large);
  expect(answer).toMatchObject({ message: expect.stringContaining('not a picture') });
  expect(Math.max(0, ...seen)).toBeLessThan(1e6);
});

it('a pipe, a socket and a device are called what they are', async () => {
  const pipe = join(here.open.home, 'pipe');
  execFileSync('mkfifo', [pipe]);
  const socket = join(here.open.home, 'socket');
  const server = createServer().listen(socket);
  await once(server, 'listening');
  for (const [named, words] of [
    [pipe, 'is a pipe, not a file'],
    [socket, 'is a socket, not a file'],
    ['/dev/zero', 'is a device, not a file'],
  ] as const)
    expect(await receiveNamedFile('1', named)).toMatchObject({
      message: expect.stringContaining(words),
    });
  server.close();
});

it('the same file again is stored once; where what is stored was damaged it heals that', async () => {
  const again = await receiveNamedFile('1', path);
  expect(again).toMatchObject({
    ok: false,
    message: expect.stringMatching(/already the master of “Slack Water”\. Nothing/),
  });
  const { sha256 } = (await currentMaster(here.open.db.read, 1))!;
  writeFileSync(storePaths(here.open.home).file(sha256), 'damaged');
  expect(await isWhole(here.open.home, sha256)).toBe(false);
  expect(await receiveNamedFile('1', path)).toEqual({ ok: true, name: 'pears.tif' });
  expect(await isWhole(here.open.home, sha256)).toBe(true);
  const masters = await here.rows<{ n: number }>(
    `SELECT count(*) AS n FROM master WHERE sha256 = '${sha256}'`,
  );
  expect(masters[0]!.n).toBe(1);
});

it('the same file brought six times at once, and for another work, is there for both, once', async () => {
  const { open } = here;
  const other = join(open.home, 'quinces.tif');
  await writeSamples(
    other,
    samplesBy(60, 80, (x, y, c) => 9000 + 310 * x + 190 * y + 100 * c),
  );
  await open.db.write((tx) =>
    tx.run(`INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      SELECT 'Quinces', artist, year, kind, medium, width_mm, height_mm, price_minor, created_at FROM work WHERE id = 1`),
  );
  const answers = await Promise.all(
    ['1', '1', '1', '1', '1', '1', '2'].map((work) => receiveNamedFile(work, other)),
  );
  await idle(open);
  for (const answer of answers) expect(answer).toEqual({ ok: true, name: 'quinces.tif' });
  const [first, second] = await Promise.all(
    [1, 2].map((w) => currentMaster(open.db.read, w)),
  );
  expect(first!.sha256).toBe(second!.sha256);
  expect(await isWhole(open.home, first!.sha256)).toBe(true);
  const rows = await here.rows(
    `SELECT work_id FROM master WHERE sha256 = '${first!.sha256}'`,
  );
  expect(rows).toHaveLength(2);
  expect(await here.rows("SELECT id, kind, error FROM job WHERE state <> 'done'")).toEqual(
    [],
  );
  expect(readdirSync(storePaths(open.home).arrivals)).toEqual([]);
  expect(readdirSync(storePaths(open.home).tmp)).toEqual([]);
});
