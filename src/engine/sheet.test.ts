import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import { OFFSET } from '../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { plainRecipe, withStep } from '@/core/prepare';
import type { PixelRect, PrintPlan, Recipe } from '@/core/prepare';
import { unpackWoff } from './fonts';
import { layOutPrintFile, printFileRows } from './printFilePass';
import { spaceTarget } from './printTarget';
import type { PrintTarget } from './printTarget';
import { readMaster } from './readMaster';
import { deflatedSamples, writeSheet } from './sheetPass';
import type { SheetWork } from './sheetPass';
import { createTiff } from './tiffWriter';
import { decodeMaster } from './workingCopy';

const silent = () => undefined;
const about = { title: 'Slack Water', artist: 'S. Q.', copyright: '' };
const SIDE = 260;
let folder: string;
let made: Pick<SheetWork, 'pixels' | 'colour'>;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'sheet-'));
  const path = join(folder, 'master.tif');
  const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
  const layout = {
    width: SIDE,
    height: SIDE,
    channels: 3,
    bits: 16,
    ppi: 300,
    icc,
  } as const;
  const writer = await createTiff(path, layout);
  const wild = (i: number) => (Math.imul(i + 7, 2654435761) >>> 14) & 32767;
  const row = new Uint16Array(SIDE * 3);
  for (let y = 0; y < SIDE; y += 1) {
    for (let i = 0; i < row.length; i += 1) row[i] = 12000 + wild(y * row.length + i);
    await writer.write(row);
  }
  await writer.finish();
  const { facts } = await readMaster(path, 1);
  const pixels = join(folder, 'pixels.v');
  await decodeMaster({ path, facts, part: join(folder, 'part.v'), target: pixels }, silent);
  made = { pixels, colour: { icc, assumedSpace: null } };
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

it('unpacks the font that words are drawn with', async () => {
  const woff = await readFile(
    'node_modules/@fontsource/commissioner/files/commissioner-latin-500-normal.woff',
  );
  const font = unpackWoff(woff);
  expect(font.length).toBe(woff.readUInt32BE(16));
  expect(font.readUInt32BE(0)).toBe(0x00010000);
  expect(font.includes(Buffer.from('Commissioner', 'utf16le').swap16())).toBe(true);
});
