import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { inProcess, SIZE, startRealWorkers } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { plainRecipe } from '@/core/prepare';
import type { Check, HandOverManifest } from '@/core/prepare';
import { addPrintFile, addWork, errandsOf, lotsOf, receiveLot } from '@/data';
import { notePrintedHere } from './printedActions';
import { sheets } from '../../../e2e/support/paperLots';
import { minor, mm } from '@/core/units';
import { hashFile, storePaths } from '@/engine';
import type { LabAnswer } from '@/standins';
import { askLab, handOverFiles, keepRoute } from './handOverActions';
import { reasonWords } from './handOverWords';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
const ids: Record<string, number> = {};

/** A print file of 30 x 40 cm as it lies in the store, and its row. */
async function file(
  name: string,
  ppi: number,
  checks: Check[] = [],
  bits: 8 | 16 = 8,
  workId = 1,
) {
  const [width, height] = [Math.round((300 / 25.4) * ppi), Math.round((400 / 25.4) * ppi)];
  const profile = join(here.open.home, 'a98.icc');
  writeFileSync(profile, iccProfile(RGB_SPACES['a98-rgb']));
  const flat = sharp({ create: { width, height, channels: 3, background: '#8a7' } })
    .withIccProfile(profile)
    .withDensity(ppi);
  const bytes = await (bits === 16 ? flat.toColourspace('rgb16') : flat)
    .tiff({ compression: 'lzw' })
    .toBuffer();
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const path = storePaths(here.open.home).file(sha256);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, bytes);
  const recipe = plainRecipe(ppi, 1);
  ids[name] = await here.open.db.write((tx) =>
    addPrintFile(tx, {
      workId,
      sizeKey: SIZE,
      masterId: 1,
      version: 1,
      name,
      sha256,
      bytes: bytes.length,
      width,
      height,
      kind: 'print',
      channels: 3,
      factor: 0.5,
      recipe,
      recipeId: null,
      checks,
      at: '2026-11-03T10:00:00.000Z',
    }),
  );
}

beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  await file('30x40cm_slack-water_250ppi_v1.tif', 250);
  await file('slack-water.tif', 72);
  await file('30x40cm_failed.tif', 250, [
    { check: 'pixels', wanted: '1', found: '2', passed: false },
  ]);
});
afterAll(() => here.end());

const route = (over: Record<string, string> = {}) =>
  keepRoute({
    name: 'Tidewrack Print Rooms',
    kind: 'onlineLab',
    folder: '',
    inkSet: '',
    leastPpi: '200',
    target: 'a98-rgb',
    press: '',
    bits: '8',
    format: 'tiff',
    ...over,
  });
const item = (name: string, over: object = {}) => ({
  printFileId: ids[name],
  paperId: 1,
  quantity: 2,
  remarks: '=watch the sky',
  ...over,
});
const hand = (items: object[], routeId = '1') =>
  handOverFiles({ workId: '1', routeId, items: JSON.stringify(items) });

/** Waits until nothing runs any more, and answers how the last job ended. */
async function ended(id: number) {
  for (let i = 0; i < 400 && here.open.jobs.list().length > 0; i += 1)
    await new Promise((r) => setTimeout(r, 20));
  const [row] = await here.rows<{ state: string; error: string | null }>(
    `SELECT state, error FROM job WHERE id = ${id}`,
  );
  return row!;
}

it('a route asks for what can be written, and its folder can be written to', async () => {
  expect(await route({ folder: 'to-the-lab' })).toMatchObject({
    fields: { folder: expect.stringMatching(/is not a full path/) },
  });
  mkdirSync(join(here.open.home, 'drop'));
  writeFileSync(join(here.open.home, 'drop', 'a file'), '');
  expect(
    await route({ folder: join(here.open.home, 'drop', 'a file', 'x') }),
  ).toMatchObject({
    fields: { folder: expect.stringMatching(/cannot be written to \(ENOTDIR\)/) },
  });
  expect(await route({ target: `icc:${'a'.repeat(64)}` })).toMatchObject({
    fields: { target: expect.any(String) },
  });
  expect(await route()).toMatchObject({ ok: true, value: 1 });
});

it('hands files over with a manifest, and the lab takes what keeps to its rules', async () => {
  const names = ['30x40cm_slack-water_250ppi_v1.tif', 'slack-water.tif'];
  const job = (await hand(names.map((name) => item(name)))) as { value: number };
  expect(await ended(job.value)).toEqual({ state: 'done', error: null });
  const { errands } = await loadPrepare('1', { size: SIZE });
  expect(errands).toMatchObject([{ number: 'H-0001', answer: null }]);
  const { folder, id } = errands[0]!;
  expect(readdirSync(folder).sort()).toEqual(
    [...names, 'manifest.csv', 'manifest.json'].sort(),
  );
  const csv = readFileSync(join(folder, 'manifest.csv'), 'utf8').split('\n');
  expect(csv[0]).toMatch(/^file,size,paper,quantity,sha256/);
  // A formula in a remark stays words.
  expect(csv[1]).toMatch(
    /^30x40cm_slack-water_250ppi_v1.tif,30 × 40 cm,Linen 300,2,[0-9a-f]{64}.*'=watch the sky,$/,
  );
  for (const name of names) {
    const copy = readFileSync(join(folder, name));
    const sha256 = createHash('sha256').update(copy).digest('hex');
    expect(errands[0]!.manifest.items.find((i) => i.file === name)!.sha256).toBe(sha256);
  }

  expect(await askLab({ errandId: String(id) })).toMatchObject({
    ok: true,
    value: 'accepted',
  });
  const answer = (await loadPrepare('1', { size: SIZE })).errands[0]!.answer!;
  expect(answer.items.map((i) => [i.file, i.accepted])).toEqual([
    [names[0], true],
    [names[1], false],
  ]);
  expect(answer.items[1]!.reasons.map(reasonWords)).toEqual([
    'its name does not begin with the size',
    expect.stringMatching(/72 ppi, and 250 are asked for/),
  ]);
  expect(answer.printedOn! < answer.sentOn!).toBe(true);
  expect(JSON.parse(readFileSync(join(folder, 'answer.json'), 'utf8'))).toEqual(answer);

  // Damaged on the way.
  const path = join(folder, names[0]!);
  const bytes = readFileSync(path);
  bytes[2000] = bytes[2000]! ^ 1;
  writeFileSync(path, bytes);
  await askLab({ errandId: String(id) });
  const again = (await loadPrepare('1', { size: SIZE })).errands[0]!.answer as LabAnswer;
  expect(again.stage).toBe('refused');
  expect(again.items[0]!.reasons).toEqual([{ code: 'checksum' }]);
});

it('files of three works go in one errand, which each of them shows', async () => {
  const names = ['30x40cm_slack-water_250ppi_v1.tif'];
  for (const [i, title] of ['Two Weirs', 'Osier Beds'].entries()) {
    const { id } = await here.open.db.write((tx) =>
      addWork(tx, {
        title,
        artist: 'Senna Quillfeather',
        year: 2025,
        kind: 'painting',
        medium: 'Oil',
        width: mm(300),
        height: mm(400),
        price: minor(0),
        currency: 'EUR',
        createdAt: '2026-11-03T10:00:00.000Z',
      }),
    );
    const name = `30x40cm_work-${i}_250ppi_v1.tif`;
    await file(name, 250, [], 8, id);
    names.push(name);
  }
  const before = (await errandsOf(here.open.db.read, 1)).length;
  const job = (await hand(names.map((name) => item(name)))) as { value: number };
  expect(await ended(job.value)).toEqual({ state: 'done', error: null });
  expect(await errandsOf(here.open.db.read, 1)).toHaveLength(before + 1);
  for (const workId of [2, 3]) {
    const [errand, ...others] = await errandsOf(here.open.db.read, workId);
    expect(others).toEqual([]);
    expect(readdirSync(errand!.folder)).toEqual(expect.arrayContaining(names));
  }
});

it('only a route that answers is asked, and the station says so', async () => {
  const own = await route({ name: 'Pigment desk', kind: 'ownPrinter' });
  const [name] = Object.keys(ids);
  const to = String((own as { value: number }).value);
  const job = (await hand([item(name!)], to)) as { value: number };
  expect(await ended(job.value)).toEqual({ state: 'done', error: null });
  const [errand] = await errandsOf(here.open.db.read, 1);
  expect(errand).toMatchObject({ routeKind: 'ownPrinter' });
  expect(await askLab({ errandId: String(errand!.id) })).toMatchObject({
    ok: false,
    message: expect.stringContaining('Pigment desk gives no answer by itself'),
  });
  expect((await errandsOf(here.open.db.read, 1))[0]!.answer).toBeNull();
});

it('of a dozen errands at once each has its own number, its own folder, and in it what it says', async () => {
  const [one, other] = Object.keys(ids);
  const pairs = Array.from({ length: 12 }, (_, i) => hand([item(i % 2 ? one! : other!)]));
  for (const job of await Promise.all(pairs))
    expect(await ended((job as { value: number }).value)).toEqual({
      state: 'done',
      error: null,
    });
  const rows = await here.rows<{ number: string; folder: string; manifest: string }>(
    'SELECT number, folder, manifest FROM errand ORDER BY id DESC LIMIT 12',
  );
  expect(new Set(rows.map((r) => r.number)).size).toBe(12);
  expect(new Set(rows.map((r) => r.folder)).size).toBe(12);
  for (const { number, folder, manifest } of rows) {
    const { errand, items } = JSON.parse(manifest) as HandOverManifest;
    expect(errand).toBe(number);
    expect(readdirSync(folder).sort()).toEqual(
      [...items.map((i) => i.file), 'manifest.csv', 'manifest.json'].sort(),
    );
    for (const { file, sha256 } of items)
      expect(await hashFile(join(folder, file))).toBe(sha256);
    expect(JSON.parse(readFileSync(join(folder, 'manifest.json'), 'utf8'))).toEqual(
      JSON.parse(manifest),
    );
  }
});

it('nothing half-made is left, and nothing that failed goes out', async () => {
  expect(await hand([item('30x40cm_failed.tif')])).toMatchObject({
    message: expect.stringMatching(/did not pass 1 of its checks/),
  });
  expect(await hand([item('slack-water.tif', { quantity: 0 })])).toMatchObject({
    fields: { items: expect.any(String) },
  });
  expect(await hand([item('slack-water.tif')], '99')).toMatchObject({
    message: expect.stringMatching(/not there any more/),
  });
  // The stored file is damaged: the copy is not what was written, and nobody gets it.
  const [row] = await here.rows<{ sha256: string }>(
    `SELECT sha256 FROM print_file WHERE id = ${ids['slack-water.tif']}`,
  );
  writeFileSync(storePaths(here.open.home).file(row!.sha256), 'other bytes');
  const drop = join(here.open.home, 'drop', 'tidewrack-print-rooms');
  const before = readdirSync(drop);
  const job = (await hand([item('slack-water.tif')])) as { value: number };
  expect(await ended(job.value)).toMatchObject({
    state: 'failed',
    error: expect.stringMatching(
      /copy of slack-water.tif is not the file that was written/,
    ),
  });
  expect(readdirSync(drop)).toEqual(before);
});

it('a test of a file that was printed here takes its paper; what was not delivered cannot give any', async () => {
  const { open } = here;
  const at = '2026-11-04T10:00:00.000Z';
  const print = (over: Record<string, string> = {}) =>
    notePrintedHere({
      workId: '1',
      file: `print:${ids['30x40cm_slack-water_250ppi_v1.tif']}`,
      paperId: '1',
      as: 'test',
      prints: '2',
      ...over,
    });
  expect(await print()).toMatchObject({
    ok: false,
    fields: { paperId: expect.stringContaining('No delivery of') },
  });
  await open.db.write((tx) => receiveLot(tx, sheets(1, 3, at, 600, 400)));
  expect(await print()).toMatchObject({ ok: true, value: '1 sheet of lot a delivery' });
  expect(await print({ prints: '5' })).toMatchObject({
    ok: false,
    message: expect.stringContaining('has enough left for so many'),
  });
  expect(await print({ file: 'print:999' })).toMatchObject({
    ok: false,
    fields: { file: expect.stringContaining('not there any more') },
  });
  expect(await lotsOf(open.db.read, 1)).toMatchObject([{ left: 2 }]);
});
