import { intoEightBits } from './rowMath';

/** Where samples lie on the print, and how many make a pixel. */
export interface DitherPlace {
  left: number;
  top: number;
  channels: number;
}

/** One level of 8 bits, in parts of 65535. */
const LEVEL = 65535;
/** A value this near to a level is that level: white stays white, a flat tone flat. */
const ON_LEVEL = 1311;
/** Thresholds lie that far from both levels. */
const BETWEEN = LEVEL - 2 * ON_LEVEL;

/** The fractions by which the thresholds of two neighbours differ, in 32 bits. */
const ACROSS = 3242174889;
const DOWN = 2447445414;
/** By how much the thresholds of a channel differ from those of the one before. */
const CHANNEL = 1431655765;

/**
 * One row of 16-bit samples into 8 bits, dithered: what lies between two levels becomes the one
 * or the other by the place of its pixel, in the mean what it is; what lies on a level stays. The
 * same pixel of the print is dithered the same, wherever the row begins. The thresholds are
 * the sequence R2 (Roberts 2018), x / p + y / p^2 with p = 1.3247: neighbours differ much, so that
 * the eye sees their mean.
 */
export function ditherEightBits(
  deep: Uint16Array,
  from: number,
  count: number,
  out: Uint8Array,
  at: number,
  { left, top, channels }: DitherPlace,
): void {
  for (let c = 0; c < channels; c += 1) {
    let place =
      (Math.imul(left, ACROSS) + Math.imul(top, DOWN) + Math.imul(c, CHANNEL)) | 0;
    for (let i = c; i < count; i += channels) {
      // In parts of a level: all whole numbers below 2^31. A level is 65535 of them.
      const threshold = ON_LEVEL + (Math.imul(place >>> 17, BETWEEN) >> 15);
      const v = (Math.imul(deep[from + i]!, 255) + threshold) | 0;
      out[at + i] = (v + (v >> 16) + 1) >> 16;
      place = (place + ACROSS) | 0;
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
