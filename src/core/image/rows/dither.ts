import { intoEightBits } from './rowMath';

/** Where samples lie on the print, and how many make a pixel. */
export interface DitherPlace {
  left: number;
  top: number;
  channels: number;
}

/** A value this near to a level of 8 bits is that level: white stays white, a flat tone flat. */
const ON_LEVEL = 1 / 50;

/** Pixels by which the pattern of a channel is shifted from that of the one before. */
const SHIFT = { x: 47, y: 17 };

const fraction = (v: number): number => v - Math.floor(v);

/**
 * A threshold, 0..1, for every pixel: interleaved gradient noise (Jimenez 2014), in which the
 * neighbours of a pixel differ as much as they can, so that the eye sees their mean.
 */
const threshold = (x: number, y: number): number =>
  fraction(52.9829189 * fraction(0.06711056 * x + 0.00583715 * y));

/**
 * One row of 16-bit samples into 8 bits, dithered: what lies between two levels becomes the one
 * or the other by the place of its pixel, in the mean what it is; what lies on a level stays. The
 * same pixel of the print is dithered the same, wherever the row begins.
 */
export function ditherEightBits(
  deep: Uint16Array,
  from: number,
  count: number,
  out: Uint8Array,
  at: number,
  { left, top, channels }: DitherPlace,
): void {
  for (let i = 0; i < count; i += 1) {
    const v = (deep[from + i]! * 255) / 65535;
    const level = Math.round(v);
    if (Math.abs(v - level) < ON_LEVEL) out[at + i] = level;
    else {
      const c = i % channels;
      const x = left + (i - c) / channels;
      out[at + i] = v + threshold(x + c * SHIFT.x, top + c * SHIFT.y);
    }
  }
}

/** One row of 16-bit samples into 8 bits, dithered or rounded to the nearest. */
export function eightBits(
  dither: boolean,
  ...[deep, from, count, out, at, place]: Parameters<typeof ditherEightBits>
): void {
  if (dither) ditherEightBits(deep, from, count, out, at, place);
  else intoEightBits(deep, from, count, out, at);
}
