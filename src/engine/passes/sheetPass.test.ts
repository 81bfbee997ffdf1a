import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import { OFFSET } from '../../../demo/profiles/profiles';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { plainRecipe, withStep } from '@/core/prepare';
import type { PixelRect, PrintPlan, Recipe } from '@/core/prepare';
import { unpackWoff } from '../fonts';
import { PixelSource } from '../decode/pixelSource';
import { layOutPrintFile, pictureRows, printFileRows } from './printFilePass';
import { spaceTarget } from '../colour/printTarget';
import type { PrintTarget } from '../colour/printTarget';
import { reducePicture } from './reducePass';
import { deflatedSamples, writeSheet } from './sheetPass';
import type { SheetWork } from './sheetPass';

const silent = () => undefined;
const about = { title: 'Slack Water', artist: 'S. Q.', copyright: '' };
const SIDE = 260;
let folder: string;
let made: Pick<SheetWork, 'pixels' | 'colour'>;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'sheet-'));
  const wild = (i: number) => (Math.imul(i + 7, 2654435761) >>> 14) & 32767;
  const at = (x: number, y: number, c: number) => 12000 + wild((y * SIDE + x) * 3 + c);
  made = await workingCopyOf(folder, samplesBy(SIDE, SIDE, at));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const plan = (width: number): PrintPlan => {
  const image = { left: 0, top: 0, width, height: width };
  const source = { left: 3.5, top: 2, width: SIDE - 7, height: SIDE - 7 };
  return { width, height: width, image, source, factor: width / source.width };
};

/** Samples of a part of an uncompressed TIFF of ours. */
async function samplesOf(
  path: string,
  wide: number,
  bytes: number,
  { left, top, width, height }: PixelRect,
) {
  const file = await readFile(path);
  const rows: Buffer[] = [];
  for (let y = top; y < top + height; y += 1) {
    const at = 8 + (y * wide + left) * bytes;
    rows.push(file.subarray(at, at + width * bytes));
  }
  return Buffer.concat(rows);
}

let count = 0;
async function sheet(into: PrintTarget, bits: 8 | 16, recipe: Recipe) {
  count += 1;
  const target = join(folder, `sheet${count}.tif`);
  const parts = [
    {
      plan: plan(420),
      recipe,
      region: { left: 120, top: 90, width: 100, height: 80 },
      place: { left: 20, top: 30 },
    },
    // At the corner, where there is nothing beyond.
    {
      plan: plan(190),
      recipe,
      region: { left: 110, top: 130, width: 80, height: 60 },
      place: { left: 150, top: 40 },
    },
  ];
  const work: SheetWork = {
    ...made,
    into,
    width: 300,
    height: 200,
    ppi: 100,
    bits,
    parts,
    words: [{ text: 'Piece <1> & 2', left: 20, top: 150, points: 8, wide: 200 }],
    black: [{ left: 20, top: 185, width: 200, height: 2 }],
    about,
    target,
  };
  await writeSheet(work, silent);
  return work;
}

const recipe = withStep(plainRecipe(100, 1.1), 0, {
  kind: 'capture',
  on: true,
  amount: 60,
  radius: 0.8,
  threshold: 1,
  noise: 20,
  grain: 4,
});
const press: PrintTarget = { ...OFFSET, channels: 4 };

it.each([
  ['RGB, 8 bit', spaceTarget('a98-rgb'), 8],
  ['RGB, 16 bit', spaceTarget('a98-rgb'), 16],
  ['CMYK, 8 bit', press, 8],
] as const)('a piece is the print file pixel for pixel: %s', async (name, into, bits) => {
  const work = await sheet(into, bits, recipe);
  const bytes = (into.channels * bits) / 8;
  for (const [i, part] of work.parts.entries()) {
    const target = join(folder, `${name}-${i}.tif`);
    const file = { ...recipe, file: { ...recipe.file, bits } };
    const print = { ...made, plan: part.plan, recipe: file, into, about, target };
    await layOutPrintFile(print);
    await printFileRows(print, { from: 0, to: part.plan.height }, silent);
    const there = await samplesOf(target, part.plan.width, bytes, part.region);
    const { width, height } = part.region;
    const here = await samplesOf(work.target, work.width, bytes, {
      ...part.place,
      width,
      height,
    });
    expect(here.equals(there)).toBe(true);
    expect(new Set(here).size).toBeGreaterThan(50);
  }
});

it('has white, words and black where they belong, and nowhere else', async () => {
  const into = spaceTarget('a98-rgb');
  const work = await sheet(into, 8, recipe);
  const at = (rect: PixelRect) => samplesOf(work.target, 300, 3, rect);
  expect(new Set(await at({ left: 20, top: 185, width: 200, height: 2 }))).toEqual(
    new Set([0]),
  );
  expect(new Set(await at({ left: 0, top: 0, width: 300, height: 30 }))).toEqual(
    new Set([255]),
  );
  const words = await at({ left: 20, top: 150, width: 200, height: 14 });
  const ink = words.reduce((n, v) => n + Number(v < 128), 0) / 3;
  expect(ink).toBeGreaterThan(60);
  expect(ink).toBeLessThan(900);
  const inks = await sheet(press, 8, recipe);
  const line = await samplesOf(inks.target, 300, 4, {
    left: 20,
    top: 185,
    width: 2,
    height: 1,
  });
  expect([...line]).toEqual([0, 0, 0, 255, 0, 0, 0, 255]);
});

it('goes into a document as it is, 16 bit rounded to 8', async () => {
  const into = spaceTarget('srgb');
  const work = await sheet(into, 16, recipe);
  const { target: path, width, height } = work;
  const deflated = await deflatedSamples({ path, width, height, channels: 3, bits: 16 });
  const eight = inflateSync(deflated);
  const deep = await samplesOf(path, width, 6, { left: 0, top: 0, width, height });
  expect(eight).toHaveLength(width * height * 3);
  for (let i = 0; i < eight.length; i += 997)
    expect(eight[i]).toBe(Math.round((deep.readUInt16LE(i * 2) * 255) / 65535));
});

it.each([1, 2] as const)(
  'small parts are made of the reduced copy, by rule %d: the whole of what is printed, and no corner of it',
  async (rule) => {
    const reduced = join(folder, `reduced${rule}.v`);
    const part = { left: 3.5, top: 2, width: SIDE - 7, height: SIDE - 7 };
    const { pixels, colour } = made;
    const by = { colour, convert: recipe.convert };
    await reducePicture(
      {
        pixels,
        part,
        width: 80,
        height: 80,
        target: reduced,
        into: rule === 2 ? by : null,
      },
      silent,
    );
    const copy = await PixelSource.open(reduced);
    expect([copy.width, copy.height, copy.channels, copy.bits]).toEqual([80, 80, 3, 16]);
    const rows = [...(await copy.rows(0, 80))];
    await copy.close();
    // As the print file's own step has it.
    const image = { left: 0, top: 0, width: 80, height: 80 };
    const recipe80 = {
      ...recipe,
      rule,
      steps: recipe.steps.filter((s) => s.kind === 'resample'),
    };
    const wide = {
      ...made,
      plan: { ...image, image, source: part, factor: 1 },
      recipe: recipe80,
    };
    const same: number[] = [];
    const into = spaceTarget('prophoto-rgb');
    await pictureRows(
      { ...wide, into },
      { left: 0, top: 0, right: 80, bottom: 80 },
      (deep) => {
        same.push(...deep);
        return Promise.resolve();
      },
    );
    if (rule === 1) rows.forEach((v, i) => expect(Math.abs(v - same[i]!)).toBeLessThan(8));

    const cell = { left: 0, top: 0, width: 40, height: 40 };
    const work: SheetWork = {
      ...made,
      into: spaceTarget('prophoto-rgb'),
      width: 60,
      height: 60,
      ppi: 100,
      bits: 16,
      parts: [
        {
          plan: { ...cell, image: cell, source: image, factor: 0.5 },
          recipe: recipe80,
          region: cell,
          place: { left: 10, top: 10 },
          small: true,
        },
      ],
      words: [],
      black: [],
      about,
      target: join(folder, `cells${rule}.tif`),
      reduced: {
        pixels: reduced,
        colour: rule === 2 ? { ...colour, carried: true } : colour,
      },
    };
    await writeSheet(work, silent);
    const drawn = await samplesOf(work.target, 60, 6, { ...cell, left: 10, top: 10 });
    const mean = (values: number[]) => values.reduce((t, v) => t + v, 0) / values.length;
    const got = Array.from({ length: drawn.length / 2 }, (_, i) =>
      drawn.readUInt16LE(2 * i),
    );
    expect(Math.abs(mean(got) - mean(same))).toBeLessThan(rule === 1 ? 80 : 700);
    expect(new Set(got).size).toBeGreaterThan(500);
  },
);

it('unpacks the font that words are drawn with', async () => {
  const woff = await readFile(
    'node_modules/@fontsource/commissioner/files/commissioner-latin-500-normal.woff',
  );
  const font = unpackWoff(woff);
  expect(font.length).toBe(woff.readUInt32BE(16));
  expect(font.readUInt32BE(0)).toBe(0x00010000);
  expect(font.includes(Buffer.from('Commissioner', 'utf16le').swap16())).toBe(true);
});
