import { encodedAt, encodersOf } from './matrixShaper';
import type { MatrixProfile } from './matrixProfile';
import { fromWorking, lightOfEncoded } from './workingSpace';

/** Rows of encoded values of the working space, of 1 channel (neutral) or 3, into 16-bit RGB of a profile. */
export type FromWorking = (
  rows: Float32Array,
  channels: number,
  output: Uint16Array,
  pixels: number,
) => void;

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
      output[i] = encodedAt(er, a * r + b * gr + c * bl);
      output[i + 1] = encodedAt(eg, d * r + e * gr + f * bl);
      output[i + 2] = encodedAt(eb, g * r + h * gr + k * bl);
    }
  };
}
