import { readdirSync } from 'node:fs';
import sharp from 'sharp';
import { OFFSET } from '../../../../demo/profiles/profiles';
import {
  inProcess,
  SIZE,
  startRealWorkers,
  takePicture,
} from '../../../../e2e/support/inProcess';
import type { InProcess } from '../../../../e2e/support/inProcess';
import { samplesBy } from '../../../../e2e/support/master';
import { GET } from '@/app/api/print-files/[id]/route';
import { plainRecipe, printPlan, screenPlan } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { fitToSheet, plainLayout } from '@/core/size';
import { mm, size } from '@/core/units';
import { addJob, addProfile, getPrintFile } from '@/data';
import { Cancelled, storePaths } from '@/engine';
import { keeping } from '../../keeping/keeping';
import { targetFor } from '../../reads/targets';
import { nameOfFile, writePrintFile } from './printFile';
import type { PrintFileOrder } from './printFile';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let base: Omit<PrintFileOrder, 'recipe' | 'plan'>;
const [WIDTH, HEIGHT] = [300, 400];
const silent = () => undefined;
const never = new AbortController().signal;
const at = '2026-11-05T10:00:00.000Z';

beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  const hills = (x: number, y: number, c: number) =>
    20000 + 12000 * Math.sin(x / 9 + c) + 9000 * Math.cos(y / 13);
  base = {
    workId: 1,
    title: 'Slack Water',
    sizeKey: SIZE,
    sizeLabel: '30 × 40 cm',
    masterId: await takePicture(here, samplesBy(WIDTH, HEIGHT, hills)),
    at,
  };
});
afterAll(() => here.end());

const fit = fitToSheet(size(300, 400), WIDTH / HEIGHT, plainLayout('within', mm(20)));
const recipe = plainRecipe(72, 0.8);
const order = (over: Partial<PrintFileOrder> = {}): PrintFileOrder => ({
  ...base,
  recipe,
  plan: printPlan({ width: WIDTH, height: HEIGHT }, fit, 72),
  ...over,
});
const write = async (asked: PrintFileOrder) => {
  const id = await writePrintFile(here.open, asked, silent, never);
  const file = (await getPrintFile(here.open.db.read, id))!;
  return { file, path: storePaths(here.open.home).file(file.sha256) };
};
const failed = (file: { checks: { check: string; passed: boolean }[] }) =>
  file.checks.filter((c) => !c.passed);

it('a pair in light and in ink has one number, and all checks passed', async () => {
  const { open } = here;
  const sha256 = await keeping(open, async ({ keepBytes }) => {
    const kept = await keepBytes(OFFSET.icc);
    await open.db.write((tx) =>
      addProfile(tx, {
        sha256: kept,
        name: OFFSET.name,
        deviceClass: 'prtr',
        space: 'CMYK',
        bytes: OFFSET.icc.length,
        at,
      }),
    );
    return kept;
  });
  const ink: Recipe = {
    ...recipe,
    convert: { ...recipe.convert, target: `icc:${sha256}` },
  };
  const [rgb, cmyk] = [await write(order()), await write(order({ recipe: ink }))];
  expect([rgb.file.name, cmyk.file.name]).toEqual([
    '30x40cm_slack-water_72ppi_v1.tif',
    '30x40cm_slack-water_72ppi_v1_cmyk.tif',
  ]);
  expect([rgb.file.channels, cmyk.file.channels]).toEqual([3, 4]);
  for (const { file } of [rgb, cmyk]) {
    expect(failed(file)).toEqual([]);
    expect(file.checks).toHaveLength(10);
  }
  expect((await sharp(cmyk.path).metadata()).space).toBe('cmyk');
  expect((await write(order())).file).toMatchObject({ version: 2, recipe });
});

it('a screen copy is sRGB, as long as asked, counted apart, and no print of the log book', async () => {
  const plan = screenPlan({ width: WIDTH, height: HEIGHT }, fit.crop, 240);
  const copy: Recipe = {
    ...recipe,
    convert: { ...recipe.convert, target: 'srgb' },
    file: { ...recipe.file, format: 'jpeg', name: '{size}_{title}_screen_v{version}' },
  };
  const { file, path } = await write(
    order({ plan, recipe: copy, kind: 'screen', watermark: '© S. Q.' }),
  );
  expect(file).toMatchObject({
    name: '30x40cm_slack-water_screen_v1.jpg',
    version: 1,
    kind: 'screen',
  });
  expect(failed(file).filter((c) => c.check !== 'thumbnail')).toEqual([]);
  expect(await sharp(path).metadata()).toMatchObject({
    format: 'jpeg',
    width: 180,
    height: 240,
  });
  const params = Promise.resolve({ id: String(file.id) });
  const sent = await GET(new Request('http://studio/api/print-files'), { params });
  expect(sent.headers.get('content-type')).toBe('image/jpeg');
  expect((await sent.arrayBuffer()).byteLength).toBe(file.bytes);
  expect(await here.rows("SELECT * FROM print_entry WHERE what LIKE '%screen%'")).toEqual(
    [],
  );
});

it('a JPEG is the same to the last level, whether its recipe says 8 bits or 16', async () => {
  const jpeg = (bits: 8 | 16): Recipe => ({
    ...recipe,
    convert: { ...recipe.convert, target: 'srgb' },
    file: { ...recipe.file, bits, format: 'jpeg', name: '{size}_{title}_jpeg_v{version}' },
  });
  const [eight, sixteen] = [
    await write(order({ recipe: jpeg(8) })),
    await write(order({ recipe: jpeg(16) })),
  ];
  expect(sixteen.file.sha256).toBe(eight.file.sha256);
  expect(failed(sixteen.file)).toEqual(failed(eight.file));
});

it('a name is decided when the file is ordered: no job to come is promised the same', async () => {
  const { open } = here;
  const asked = order({
    recipe: { ...recipe, file: { ...recipe.file, name: '{size}_p_v{version}' } },
  });
  const into = await targetFor(open, asked.recipe.convert.target);
  const at = '2026-11-02T12:00:00.000Z';
  const named = async () => {
    const { taken, ...found } = await nameOfFile(open.db.read, asked, into, at);
    expect(taken).toBe(false);
    const { workId } = asked;
    await open.db.write((tx) =>
      addJob(tx, { kind: 'printFile', workId, spec: { ...asked, named: found }, at }),
    );
    return found;
  };
  const first = await named();
  const second = await named();
  expect(second.version).toBe(first.version + 1);
  expect(second.name).not.toBe(first.name);
  // Written in whatever order, each carries the name that it was promised.
  const later = await write({ ...asked, named: second });
  const sooner = await write({ ...asked, named: first });
  expect([later.file.name, sooner.file.name]).toEqual([second.name, first.name]);
  // Of one pattern without a version only one is promised.
  const once = {
    ...asked,
    recipe: { ...recipe, file: { ...recipe.file, name: '{size}_q' } },
  };
  const promised = await nameOfFile(open.db.read, once, into, at);
  await open.db.write((tx) =>
    addJob(tx, { kind: 'printFile', workId: 1, spec: { ...once, named: promised }, at }),
  );
  expect((await nameOfFile(open.db.read, once, into, at)).taken).toBe(true);
});

it('a name that was taken meanwhile is refused before a pixel is made', async () => {
  const once = order({
    recipe: { ...recipe, file: { ...recipe.file, name: '{size}_only_one' } },
  });
  const { file } = await write(once);
  const stages: string[] = [];
  const again = { ...once, named: { name: file.name, version: 9, channels: 3 as const } };
  await expect(
    writePrintFile(here.open, again, (stage) => void stages.push(stage), never),
  ).rejects.toThrow(/already/);
  expect(stages).toEqual([]);
});

it('a name that is taken is refused in words, and the file is not noted', async () => {
  const once = { ...recipe, file: { ...recipe.file, name: '{size}_only' } };
  await write(order({ recipe: once }));
  await expect(write(order({ recipe: once }))).rejects.toThrow(
    /a file 30x40cm_only.tif already.*\{version\}/,
  );
  expect(
    await here.rows("SELECT * FROM print_file WHERE name = '30x40cm_only.tif'"),
  ).toHaveLength(1);
});

it.each(['tiff', 'png'] as const)(
  'stopped in the middle of a %s, it leaves nothing',
  async (format) => {
    const stop = new AbortController();
    const asked = order({
      recipe: { ...recipe, file: { ...recipe.file, format, compression: 'lzw' } },
      plan: printPlan({ width: WIDTH, height: HEIGHT }, fit, 600),
    });
    const before = await here.rows('SELECT * FROM print_file');
    const running = writePrintFile(
      here.open,
      asked,
      (_, share) => share > 0.05 && stop.abort(),
      stop.signal,
    );
    await expect(running).rejects.toThrow(Cancelled);
    expect(await here.rows('SELECT * FROM print_file')).toHaveLength(before.length);
    expect(readdirSync(storePaths(here.open.home).tmp)).toEqual([]);
  },
);
