import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
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
