import { RGB_SPACES, decoded, encodedLight } from '@/core/colour';
import { chain, wholeOf } from '@/core/image';
import { colourSteps, ruleOf } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { createTransform } from '../colour/colourEngine';
import type { MasterColour } from '../colour/masterColour';
import { PixelSource } from '../decode/pixelSource';
import { spaceTarget } from '../colour/printTarget';
import type { PrintTarget } from '../colour/printTarget';
import type { Looked } from './looked';
import { waysOf } from './recipeWays';

/** What the picture of a file was made from. */
export interface ExpectedPicture {
  pixels: string;
  colour: MasterColour;
  recipe: Recipe;
  into: PrintTarget;
}

/** Cells of a thumbnail along each side, and places that are looked at along each side of a cell. */
const CELLS = 24;
const PLACES = 24;
const SIDE = CELLS * PLACES;
/** Rows that are read at a place, of which each sample takes one. */
const NEAR = 8;

/**
 * A number, 0..1, for a pair, the same every time: samples lie anywhere within their places, so that
 * hatching, whatever its period, is not met at one line again and again.
 */
function chance(x: number, y: number): number {
  let h = Math.imul(x + 1, 0x9e3779b1) ^ Math.imul(y + 1, 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 13), 0x297a2d39);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/** How screen values are averaged: as light and encoded again, or as they are. */
interface Mean {
  of: Float64Array;
  back: (mean: number) => number;
}

const PLAIN_MEAN: Mean = {
  of: Float64Array.from({ length: 256 }, (_, v) => v),
  back: (v) => v,
};
const { srgb } = RGB_SPACES;
const LIGHT_MEAN: Mean = {
  of: Float64Array.from({ length: 256 }, (_, v) => decoded(srgb.curve, v / 255)),
  back: (v) => 255 * encodedLight(srgb.curve, v),
};

/** Means of 8-bit RGB in the cells of a picture. */
function cellMeans(
  rgb: Uint8Array,
  width: number,
  height: number,
  { of, back }: Mean,
): Float64Array {
  const sums = new Float64Array(CELLS * CELLS * 3);
  const counts = new Float64Array(CELLS * CELLS);
  for (let y = 0, i = 0; y < height; y += 1) {
    const row = Math.floor((y / height) * CELLS) * CELLS;
    for (let x = 0; x < width; x += 1, i += 3) {
      const cell = row + Math.floor((x / width) * CELLS);
      counts[cell]! += 1;
      for (let c = 0; c < 3; c += 1) sums[cell * 3 + c]! += of[rgb[i + c]!]!;
    }
  }
  return sums.map((sum, i) => back(sum / Math.max(1, counts[Math.floor(i / 3)]!)));
}

/** Target values as a screen shows them. */
async function onScreen(deep: Uint16Array, pixels: number, into: PrintTarget) {
  const screen = spaceTarget('srgb');
  const options = { intent: 'relative', blackPoint: true, exact: true } as const;
  const transform = await createTransform(
    into.icc,
    screen.icc,
    { from: into.channels, to: 3 },
    options,
  );
  const out = new Uint8Array(pixels * 3);
  transform.toEight(deep, out, pixels);
  transform.close();
  return out;
}

/** The master's own pixels at places spread over what is printed, adjusted and converted. */
async function expectedMeans(
  plan: PrintPlan,
  { pixels, colour, recipe, into }: ExpectedPicture,
  mean: Mean,
): Promise<Float64Array> {
  const source = await PixelSource.open(pixels);
  const { channels, width, height } = source;
  const steps = colourSteps(recipe);
  const whole = { left: 0, top: 0, width: SIDE, height: SIDE };
  const places = { image: whole, source: whole };
  const adjusting = { ...recipe, steps };
  const shape = { width: SIDE, height: SIDE, channels };
  const work = { colour, recipe: adjusting, into, plan: places };
  const ways = await waysOf(work, shape, channels);
  try {
    const within = (at: number, most: number) =>
      Math.max(0, Math.min(most, Math.floor(at)));
    const { left, top } = plan.source;
    const [across, down] = [plan.source.width / SIDE, plan.source.height / SIDE];
    const rows = Math.max(1, Math.min(NEAR, Math.floor(down), height));
    const line = new Uint16Array(SIDE * channels);
    const made = new Uint16Array(SIDE * SIDE * into.channels);
    let at = 0;
    const { take } = chain(ways.steps, wholeOf(shape), (row) => {
      const deep = ways.out(row, SIDE);
      made.set(deep, at);
      at += deep.length;
    });
    for (let y = 0; y < SIDE; y += 1) {
      const first = top + y * down + chance(y, SIDE) * Math.max(0, down - rows);
      const near = await source.rows(within(first, height - rows), rows);
      for (let x = 0; x < SIDE; x += 1) {
        const row = Math.floor(chance(x, SIDE + 1 + y) * rows);
        const column = within(left + (x + chance(x, y)) * across, width - 1);
        const from = (row * width + column) * channels;
        for (let c = 0; c < channels; c += 1) line[x * channels + c] = near[from + c]!;
      }
      take(Float32Array.from(ways.before?.(line, SIDE) ?? line));
    }
    return cellMeans(await onScreen(made, SIDE * SIDE, into), SIDE, SIDE, mean);
  } finally {
    ways.close();
    await source.close();
  }
}

/**
 * Mean difference, of 255, between a written picture and what was to be expected of it, over
 * cells of a thumbnail on the screen. Small in spite of sharpening and resizing; large when
 * the picture is another, or lies elsewhere.
 */
export async function thumbnailDifference(
  { data, width, height, whole }: Looked,
  plan: PrintPlan,
  expected: ExpectedPicture,
): Promise<number> {
  const deep =
    whole === 65535 ? Uint16Array.from(data) : Uint16Array.from(data, (v) => v * 257);
  const shown = await onScreen(deep, width * height, expected.into);
  // Where light was mixed, light is what both must have alike.
  const mean = ruleOf(expected.recipe) === 1 ? PLAIN_MEAN : LIGHT_MEAN;
  const found = cellMeans(shown, width, height, mean);
  const wanted = await expectedMeans(plan, expected, mean);
  return found.reduce((sum, v, i) => sum + Math.abs(v - wanted[i]!), 0) / found.length;
}
