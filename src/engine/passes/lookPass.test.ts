import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { workingCopyOf } from '../../../e2e/support/master';
import { deadLeaves } from '../../../e2e/support/pictures';
import { intoEightBits } from '@/core/image';
import { plainRecipe } from '@/core/prepare';
import type { PixelRect } from '@/core/prepare';
import { lookAt } from './lookPass';
import type { LookWork } from './lookPass';
import { pictureRows } from './printFilePass';
import { spaceTarget } from '../colour/printTarget';
import { sharp } from '../sharpSetup';
import { joinTiles, layOutTiles, tileColumns } from './tilesPass';

const SIDE = 1100;
const silent = () => undefined;
let folder: string;
let base: Pick<LookWork, 'pixels' | 'tilesFolder' | 'colour'>;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'look-'));
  const leaves = { width: SIDE, height: SIDE, data: deadLeaves(SIDE, 5).data };
  const { pixels, colour } = await workingCopyOf(folder, leaves, 'a98-rgb');
  const tilesFolder = join(folder, 'tiles');
  const work = {
    pixels,
    width: SIDE,
    height: SIDE,
    colour,
    scratch: join(folder, 'scratch'),
    tilesFolder,
    preview: join(folder, 'preview.jpg'),
  };
  for (const columns of await layOutTiles(work, 1))
    await tileColumns(work, columns, silent);
  await joinTiles(work, silent);
  base = { pixels, tilesFolder, colour };
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const PART: PixelRect = { left: 100.4, top: 50.7, width: 900, height: 960 };

const shown = async (work: Omit<LookWork, keyof typeof base>) =>
  sharp(Buffer.from(await lookAt({ ...base, ...work })))
    .raw()
    .toBuffer({ resolveWithObject: true });

/** The same part at a size as the print file makes it, on the screen's colours. */
async function printed(part: PixelRect, width: number, height: number) {
  const image = { left: 0, top: 0, width, height };
  const recipe = plainRecipe(300, 1);
  recipe.steps = recipe.steps.filter((s) => s.kind === 'resample');
  recipe.convert = { target: 'srgb', intent: 'relative', blackPoint: true };
  const plan = { width, height, image, source: part, factor: width / part.width };
  const out = new Uint8Array(width * height * 3);
  let at = 0;
  const work = { ...base, plan, recipe, into: spaceTarget('srgb') };
  const box = { left: 0, top: 0, right: width, bottom: height };
  await pictureRows(work, box, async (deep, rows) => {
    intoEightBits(deep, 0, rows * width * 3, out, at);
    at += rows * width * 3;
    return Promise.resolve();
  });
  return out;
}

const cut = (whole: Uint8Array, width: number, w: PixelRect) =>
  Uint8Array.from(
    { length: w.width * w.height * 3 },
    (_, i) =>
      whole[
        ((w.top + Math.floor(i / (w.width * 3))) * width + w.left) * 3 + (i % (w.width * 3))
      ]!,
  );

function difference(a: Uint8Array, b: Uint8Array) {
  let most = 0;
  let total = 0;
  for (let i = 0; i < a.length; i += 1) {
    const d = Math.abs(a[i]! - b[i]!);
    most = Math.max(most, d);
    total += d;
  }
  return { most, mean: total / a.length };
}

it.each([1.5, 2, 1, 0.8])(
  'shows at one pixel to one exactly what the print file will hold, %d times enlarged',
  async (factor) => {
    const print = {
      width: Math.round(PART.width * factor),
      height: Math.round(PART.height * factor),
    };
    const window = { left: 200, top: 310, width: 190, height: 120 };
    const { data, info } = await shown({ part: PART, print, screen: print, window });
    expect([info.width, info.height]).toEqual([190, 120]);
    const whole = await printed(PART, print.width, print.height);
    expect(difference(data, cut(whole, print.width, window)).most).toBeLessThanOrEqual(1);
  },
);

it.each([
  ['enlarged for who stands near', 1.4],
  ['a little reduced', 0.7],
  ['much reduced', 0.22],
])('windows join without a seam: %s', async (_, scale) => {
  const print = { width: 1800, height: 1920 };
  const screen = { width: Math.round(1800 * scale), height: Math.round(1920 * scale) };
  const look = (window: PixelRect) => shown({ part: PART, print, screen, window });
  const whole = await look({ left: 60, top: 40, width: 256, height: 200 });
  const left = await look({ left: 60, top: 40, width: 128, height: 200 });
  const right = await look({ left: 188, top: 40, width: 128, height: 200 });
  const halves = new Uint8Array(whole.data.length);
  for (let y = 0; y < 200; y += 1) {
    halves.set(left.data.subarray(y * 384, y * 384 + 384), y * 768);
    halves.set(right.data.subarray(y * 384, y * 384 + 384), y * 768 + 384);
  }
  expect(difference(whole.data, halves).most).toBeLessThanOrEqual(1);
});

it('from halved levels it looks as from all of the pixels', async () => {
  // 900 master pixels on 100 of the screen: taken from a level that is halved twice.
  const window = { left: 0, top: 0, width: 100, height: 106 };
  const screen = { width: 100, height: 106 };
  const print = { width: 2000, height: 2120 };
  const { data } = await shown({ part: PART, print, screen, window });
  const direct = await printed(PART, screen.width, screen.height);
  const found = difference(data, direct);
  expect(found.mean).toBeLessThan(3.5);
  // And not as another part of the picture would.
  const other = await printed({ ...PART, left: 80 }, screen.width, screen.height);
  expect(difference(data, other).mean).toBeGreaterThan(2 * found.mean);
});

it('a small print from near keeps its own few pixels: what the print lost does not come back', async () => {
  // Printed with a third of the pixels, looked at three times enlarged.
  const print = { width: 300, height: 320 };
  const screen = { width: 900, height: 960 };
  const window = { left: 300, top: 300, width: 256, height: 256 };
  const { data } = await shown({ part: PART, print, screen, window });
  const straight = await printed(PART, screen.width, screen.height);
  const roughness = (pixels: Uint8Array) => {
    let total = 0;
    for (let i = 3; i < pixels.length; i += 3)
      total += Math.abs(pixels[i]! - pixels[i - 3]!);
    return total;
  };
  expect(roughness(data)).toBeLessThan(0.8 * roughness(cut(straight, 900, window)));
});

it('at the edge of the picture the edge counts on, as in the print file', async () => {
  const part = { left: 0, top: 0, width: SIDE, height: SIDE };
  const print = { width: 1650, height: 1650 };
  const window = { left: 1450, top: 1450, width: 200, height: 200 };
  const { data } = await shown({ part, print, screen: print, window });
  const whole = await printed(part, 1650, 1650);
  expect(difference(data, cut(whole, 1650, window)).most).toBeLessThanOrEqual(1);
});
