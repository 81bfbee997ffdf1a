import {
  apply,
  colourDifference,
  iccProfile,
  labOf,
  readMatrixProfile,
} from '@/core/colour';
import { RGB_SPACES } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { RECIPE_RULE } from '@/core/prepare';
import type { PixelRect } from '@/core/prepare';
import { createTransform } from '../colour/colourEngine';
import { pictureRows } from './printFilePass';
import type { PictureWork } from './printFilePass';

/** How far two prints of one picture are apart, CIEDE2000, over the pixels looked at. */
export interface PrintDifference {
  mean: number;
  /** 95 of 100 pixels are no further apart. */
  p95: number;
  most: number;
  pixels: number;
}

/** Pieces that are looked at along each side of a print, and pixels of a piece along each side. */
const PIECES = 5;
const SIDE = 96;

/** Pieces spread evenly over a picture, its edges among them. */
export function piecesOf({
  width,
  height,
}: {
  width: number;
  height: number;
}): PixelRect[] {
  const along = (length: number) => {
    const side = Math.min(SIDE, length);
    const count = Math.min(PIECES, Math.floor(length / side));
    return Array.from({ length: count }, (_, i) => ({
      from: count === 1 ? 0 : Math.round((i * (length - side)) / (count - 1)),
      side,
    }));
  };
  return along(height).flatMap((y) =>
    along(width).map((x) => ({ left: x.from, top: y.from, width: x.side, height: y.side })),
  );
}

const ROMM = iccProfile(RGB_SPACES['prophoto-rgb']);
const { curves, toXyz } = readMatrixProfile(ROMM)!;

/** A piece of a print as the colours that its target stands for, ROMM RGB. */
async function coloursOf(work: PictureWork, piece: PixelRect): Promise<Uint16Array> {
  const { left, top, width, height } = piece;
  const { into } = work;
  const made = new Uint16Array(width * height * into.channels);
  const box = { left, top, right: left + width, bottom: top + height };
  await pictureRows(work, box, (deep, rows, from) => {
    const line = width * into.channels;
    made.set(deep.subarray(0, rows * line), (from - top) * line);
    return Promise.resolve();
  });
  const ends = { from: into.channels, to: 3 } as const;
  const options = { intent: 'relative', blackPoint: false, exact: true } as const;
  const transform = await createTransform(into.icc, ROMM, ends, options);
  const romm = new Uint16Array(width * height * 3);
  transform.convert(made, romm, width * height);
  transform.close();
  return romm;
}

const labAt = (romm: Uint16Array, pixel: number): Vector =>
  labOf(
    apply(toXyz, curves.map((curve, c) => curve(romm[pixel * 3 + c]! / 65535)) as Vector),
  );

/**
 * What a recipe of an earlier rule would print by the rule of now, against what it prints: on
 * pieces spread over the picture, at the print's own pixels.
 */
export async function ruleDifference(work: PictureWork): Promise<PrintDifference> {
  const now = { ...work, recipe: { ...work.recipe, rule: RECIPE_RULE } } as PictureWork;
  const found: number[] = [];
  for (const piece of piecesOf(work.plan.image)) {
    const before = await coloursOf(work, piece);
    const after = await coloursOf(now, piece);
    for (let p = 0; p < before.length / 3; p += 1)
      found.push(colourDifference(labAt(before, p), labAt(after, p)));
  }
  const sorted = Float64Array.from(found).sort();
  return {
    mean: sorted.reduce((t, v) => t + v, 0) / sorted.length,
    p95: sorted[Math.floor(0.95 * (sorted.length - 1))]!,
    most: sorted.at(-1)!,
    pixels: sorted.length,
  };
}
