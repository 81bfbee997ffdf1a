import { readFileSync } from 'node:fs';
import { Readable } from 'node:stream';
import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { plainRecipe, withStep } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { offerSize } from '@/stations/size/actions';
import { runJobAgain } from '@/studio';
import { keepRecipe, orderPrintFiles, orderScreenCopy } from './actions';
import { receiveProfile } from '@/studio';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const usual = plainRecipe(300, 0.8);
const order = (over: Record<string, string> = {}, recipe: unknown = usual) =>
  orderPrintFiles({
    workId: '1',
    sizeKeys: JSON.stringify([SIZE]),
    recipe: JSON.stringify(recipe),
    recipeId: '',
    pair: '',
    ...over,
  });
const idsOf = (answer: unknown) => (answer as { value: number[] }).value;
const specOf = async (id: number) => {
  const [row] = await here.rows<{ spec: string }>(`SELECT spec FROM job WHERE id = ${id}`);
  return JSON.parse(row!.spec) as { sizeKey: string; recipe: Recipe; plan: unknown };
};
const stop = (ids: number[]) => ids.forEach((id) => here.open.jobs.cancel(id));

it('plans the file to the exact size of the sheet', async () => {
  const view = await loadPrepare('1', { size: SIZE });
  expect(view.plan).toMatchObject({ width: 3543, height: 4724 });
  expect(view.plan!.factor).toBeLessThan(1);
  expect(view.files).toEqual([]);
  expect(view.jobs).toEqual([]);
});

it('queues what was ordered, with all it needs to run again', async () => {
  const asked = await order();
  expect(asked).toMatchObject({ ok: true });
  const [id = 0] = idsOf(asked);
  expect(await specOf(id)).toMatchObject({
    sizeKey: SIZE,
    title: 'Slack Water',
    plan: { width: 3543, height: 4724 },
    recipe: usual,
  });
  expect((await loadPrepare('1', { size: SIZE })).jobs).toMatchObject([{ id }]);

  // Its stored original is gone here: it fails in words, and one press orders the same again.
  const state = async () =>
    (
      await here.rows<{ state: string; error: string }>(
        `SELECT * FROM job WHERE id = ${id}`,
      )
    )[0]!;
  for (let i = 0; i < 200 && /queued|running/.test((await state()).state); i += 1)
    await new Promise((r) => setTimeout(r, 20));
  expect(await state()).toMatchObject({
    state: 'failed',
    error: expect.stringMatching(/\w/),
  });
  const again = await runJobAgain(here.open, id, '2026-11-03T10:00:00.000Z');
  expect(await specOf(again!)).toEqual(await specOf(id));
  expect(await runJobAgain(here.open, again!, '2026-11-03T10:00:01.000Z')).toBeNull();
  stop([again!]);
});

const output = usual.steps[4]!;
it.each([
  [
    withStep(usual, 4, { ...output, radius: 0 } as typeof output),
    /radius: 0 px cannot be worked with. It must be 0.3 to 10/,
  ],
  [withStep(usual, 4, { ...output, radius: 1000 } as typeof output), /radius: 1000 px/],
  [
    { ...usual, steps: usual.steps.filter((s) => s.kind !== 'resample') },
    /one step that resizes/,
  ],
  [{ ...usual, file: { ...usual.file, name: '{title}' } }, /must begin with \{size\}/],
  [{ ...usual, file: { ...usual.file, name: '{size}/{title}' } }, /“\/” is refused/],
  [{ ...usual, convert: { ...usual.convert, target: 'prophet-rgb' } }, /not known/],
  [
    { ...usual, convert: { ...usual.convert, target: `icc:${'f'.repeat(64)}` } },
    /not in the store/,
  ],
])('refuses a recipe that cannot be worked with (%#)', async (recipe, words) => {
  const answer = await order({}, recipe);
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toMatch(words);
});

it.each([
  { ...usual, surprise: 1 },
  { ...usual, steps: [{ kind: 'melt', on: true }] },
  'no recipe',
])('takes nothing that is no recipe (%#)', async (recipe) => {
  expect(await order({}, recipe)).toMatchObject({
    ok: false,
    fields: { recipe: expect.any(String) },
  });
});

it('writes what is on offer, all of it at once, and nothing else', async () => {
  expect(await order({ sizeKeys: '["isoA-A4"]' })).toMatchObject({
    message: 'This size is not on offer any more. Offer it at Size, then prepare it.',
  });
  const large = 'metricFrames-100x140';
  await offerSize({ workId: '1', sizeKey: large, fit: 'within', border: '20 mm' });
  const ids = idsOf(await order({ sizeKeys: JSON.stringify([SIZE, large]) }));
  expect(await Promise.all(ids.map(async (id) => (await specOf(id)).sizeKey))).toEqual([
    SIZE,
    large,
  ]);
  stop(ids);
  const deep = {
    ...withStep(usual, 3, { kind: 'resample', on: true, kernel: 'lanczos3', ppi: 720 }),
    file: { ...usual.file, bits: 16 },
  };
  const answer = await order({ sizeKeys: JSON.stringify([large]) }, deep);
  expect(answer).toMatchObject({
    message: expect.stringMatching(/6\.7 GB, and TIFF ends at 4 GB/),
  });
});

describe('profiles', () => {
  const bring = (path: string, name: string) =>
    receiveProfile(name, Readable.from([readFileSync(path)]));

  it('a press gets a pair, one file in each kind of colour', async () => {
    expect(await bring('demo/profiles/quayside-offset-matte.icc', 'press.icc')).toEqual({
      ok: true,
      name: 'press.icc',
    });
    const { profiles } = await loadPrepare('1', { size: SIZE });
    expect(profiles).toMatchObject([{ name: 'Quayside Offset Matte', space: 'CMYK' }]);
    const pair = `icc:${profiles[0]!.sha256}`;
    const ids = idsOf(await order({ pair }));
    const targets = await Promise.all(
      ids.map(async (id) => (await specOf(id)).recipe.convert.target),
    );
    expect(targets).toEqual(['a98-rgb', pair]);
    stop(ids);
    const png = { ...usual, file: { ...usual.file, format: 'png' } };
    expect(await order({ pair }, png)).toMatchObject({
      message: expect.stringMatching(/PNG is not taken for CMYK/),
    });
  });

  it('of the wrong class are refused, each for its reason', async () => {
    const press = readFileSync('demo/profiles/quayside-offset-matte.icc');
    const as = (deviceClass: string) => {
      const bytes = Buffer.from(press);
      bytes.write(deviceClass, 12, 'latin1');
      return receiveProfile('x.icc', Readable.from([bytes]));
    };
    expect(await as('scnr')).toMatchObject({
      message: expect.stringMatching(/describes a scanner/),
    });
    expect(await as('link')).toMatchObject({
      message: expect.stringMatching(/joins two devices/),
    });
    expect(
      await receiveProfile('x.icc', Readable.from(['nothing of the kind'])),
    ).toMatchObject({
      message: expect.stringMatching(/no ICC profile/),
    });
    const cut = receiveProfile('cut.icc', Readable.from([press.subarray(0, 5000)]));
    expect(await cut).toMatchObject({ ok: false });
  });
});

it('recipes get versions under a name, and copies under another', async () => {
  const put = (name: string, recipe: Recipe, fromId = '') =>
    keepRecipe({ name, remarks: '', recipe: JSON.stringify(recipe), fromId });
  const first = (await put('Cotton, large', usual)) as { value: number };
  await put('Cotton, large', { ...usual, marks: true });
  await put('Gloss', usual, String(first.value));
  const { recipes } = await loadPrepare('1', {});
  expect(recipes.map((r) => [r.name, r.version, r.recipe.marks, r.fromId])).toEqual([
    ['Cotton, large', 2, true, null],
    ['Cotton, large', 1, false, null],
    ['Gloss', 1, false, first.value],
  ]);
  expect(await put('', usual)).toMatchObject({ fields: { name: expect.any(String) } });
});

it('a screen copy is sRGB, as long as was asked', async () => {
  const answer = await orderScreenCopy({
    workId: '1',
    sizeKey: SIZE,
    recipe: JSON.stringify(usual),
    longest: '1600',
    quality: '85',
    watermark: '© S. Q.',
  });
  const { value: id } = answer as { value: number };
  expect(await specOf(id)).toMatchObject({
    kind: 'screen',
    watermark: '© S. Q.',
    plan: { width: 1200, height: 1600 },
    recipe: { convert: { target: 'srgb' }, file: { format: 'jpeg', quality: 85 } },
  });
  stop([id]);
});

it('never guesses the colours of an untagged master', async () => {
  await here.take({ iccDescription: null }, 'b'.repeat(64));
  const answer = await order();
  expect(answer).toMatchObject({ ok: false });
  expect((answer as { message: string }).message).toMatch(
    /no colour profile.*never guessed/,
  );
});
