import {
  ENCODER_POINTS,
  encodedAt,
  encodersOf,
  fromWorking,
  lightOfEncoded,
} from '../../colour';
import type { MatrixProfile } from '../../colour';
import { placesOf } from './simd';

/** Rows of encoded values of the working space, of 1 channel (neutral) or 3, into 16-bit RGB of a profile. */
export type FromWorking = (
  rows: Float32Array,
  channels: number,
  output: Uint16Array,
  pixels: number,
) => void;

/** Samples that are reckoned at once: what stays near the processor. */
const PART = 3 * 8192;

/**
 * The colorimetric conversion from the working space to a matrix profile, without a rounding
 * in between; what lies outside the target is clipped per channel. Null when its curves cannot
 * be turned round.
 */
export function workingShaper(target: MatrixProfile): FromWorking | null {
  const encoders = encodersOf(target);
  if (!encoders) return null;
  const [er, eg, eb] = encoders;
  let matrix: number[];
  try {
    matrix = fromWorking(target).flat();
  } catch {
    return null;
  }
  const whites = [0, 3, 6].map((i) => matrix[i]! + matrix[i + 1]! + matrix[i + 2]!);
  const [wr, wg, wb] = whites as [number, number, number];
  const grey: FromWorking = (rows, _, output, pixels) => {
    for (let i = 0, o = 0; i < pixels; i += 1, o += 3) {
      const light = lightOfEncoded(rows[i]!);
      output[o] = encodedAt(er, wr * light);
      output[o + 1] = encodedAt(eg, wg * light);
      output[o + 2] = encodedAt(eb, wb * light);
    }
  };
  return (rows, channels, output, pixels) => {
    if (channels === 1) return grey(rows, channels, output, pixels);
    for (let from = 0; from < pixels * 3; from += PART) {
      const part = rows.subarray(from, Math.min(pixels * 3, from + PART));
      between(placesOf(part, matrix, ENCODER_POINTS), er, eg, eb, output, from);
    }
  };
}

/** Values of three tables at places between their points, put from a place on. */
function between(
  places: Float32Array,
  er: Float32Array,
  eg: Float32Array,
  eb: Float32Array,
  output: Uint16Array,
  from: number,
): void {
  for (let i = 0, o = from; i < places.length; i += 3, o += 3) {
    const r = places[i]!;
    const g = places[i + 1]!;
    const b = places[i + 2]!;
    const ri = r | 0;
    const gi = g | 0;
    const bi = b | 0;
    const rv = er[ri]!;
    const gv = eg[gi]!;
    const bv = eb[bi]!;
    output[o] = rv + (r - ri) * (er[ri + 1]! - rv) + 0.5;
    output[o + 1] = gv + (g - gi) * (eg[gi + 1]! - gv) + 0.5;
    output[o + 2] = bv + (b - bi) * (eb[bi + 1]! - bv) + 0.5;
  }
}
