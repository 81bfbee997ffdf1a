import { encodedAt, encodersOf } from './matrixShaper';
import type { Encoder } from './matrixShaper';
import type { MatrixProfile } from './matrixProfile';
import { fromWorking, lightOfEncoded } from './workingSpace';

/** Rows of encoded values of the working space, of 1 channel (neutral) or 3, into 16-bit RGB of a profile. */
export type FromWorking = (
  rows: Float32Array,
  channels: number,
  output: Uint16Array,
  pixels: number,
) => void;

/** The share of a pixel's light that is lost in single precision: what is less of one channel is none. */
const NOISE = 5e-7;

/**
 * The colorimetric conversion from the working space to a matrix profile, without a rounding
 * in between; what lies outside the target is clipped per channel. Null when its curves cannot
 * be turned round.
 */
export function workingShaper(target: MatrixProfile): FromWorking | null {
  const encoders = encodersOf(target);
  if (!encoders) return null;
  const [er, eg, eb] = encoders;
  let matrix;
  try {
    matrix = fromWorking(target);
  } catch {
    return null;
  }
  const [[a, b, c], [d, e, f], [g, h, k]] = matrix;
  const encode = (table: Encoder, light: number, noise: number) =>
    encodedAt(table, light < noise ? 0 : light);
  return (rows, channels, output, pixels) => {
    if (channels === 1) {
      for (let i = 0, o = 0; i < pixels; i += 1, o += 3) {
        const light = lightOfEncoded(rows[i]!);
        output[o] = encodedAt(er, (a + b + c) * light);
        output[o + 1] = encodedAt(eg, (d + e + f) * light);
        output[o + 2] = encodedAt(eb, (g + h + k) * light);
      }
      return;
    }
    for (let i = 0, end = pixels * 3; i < end; i += 3) {
      const r = lightOfEncoded(rows[i]!);
      const gr = lightOfEncoded(rows[i + 1]!);
      const bl = lightOfEncoded(rows[i + 2]!);
      const noise = NOISE * (r + gr + bl);
      output[i] = encode(er, a * r + b * gr + c * bl, noise);
      output[i + 1] = encode(eg, d * r + e * gr + f * bl, noise);
      output[i + 2] = encode(eb, g * r + h * gr + k * bl, noise);
    }
  };
}
