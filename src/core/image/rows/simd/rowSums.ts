import type { AxisWeights } from '../../kernels';
import { Scratch, four } from './scratch';

/** Floats of all rows that are summed at once: more are done in parts, so that memory stays small. */
const MOST = 1 << 18;

const down = new Scratch();
const along = new Scratch();
/** Whose weights lie in it from the row before. */
let weighing: AxisWeights | null = null;
const blurring = new Scratch();

/** out[i] = the sum over k of weights[from + k] x rows[k][i], in 32-bit floats. */
export function weighedSum(
  rows: readonly Float32Array[],
  weights: ArrayLike<number>,
  from: number,
  out: Float32Array,
): void {
  const count = rows.length;
  const part = Math.max(64, Math.floor(MOST / count) & ~3);
  const begin = four(count);
  for (let left = 0; left < out.length; left += part) {
    const length = Math.min(part, out.length - left);
    const stride = four(length);
    const to = begin + count * stride;
    const sums = down.room(to + stride);
    const { floats } = down;
    for (let k = 0; k < count; k += 1) {
      const row = rows[k]!;
      floats[k] = weights[from + k]!;
      const whole = row.length === length;
      floats.set(whole ? row : row.subarray(left, left + length), begin + k * stride);
    }
    sums.weighedSum(begin * 4, stride * 4, 0, count, to * 4, stride * 4);
    out.set(floats.subarray(to, to + length), left);
  }
}

/** A row of pixels of three samples, resampled across: output length x 3, in 32-bit floats. */
export function acrossThree(
  row: Uint16Array | Float32Array,
  axis: AxisWeights,
  out: Float32Array,
): void {
  const { taps, first, weights } = axis;
  const at = first.length + weights.length;
  const to = at + row.length + 4;
  const sums = along.room(to + out.length + 4);
  const { floats } = along;
  if (weighing !== axis) {
    new Int32Array(floats.buffer, 0, first.length).set(first);
    floats.set(weights, first.length);
    weighing = axis;
  }
  floats.set(row, at);
  sums.across(at * 4, 0, first.length * 4, taps, to * 4, first.length);
  out.set(floats.subarray(to, to + out.length));
}

/** A row of single values, blurred by a kernel of an odd number of weights; the ends repeat. */
export function blurAcross(
  light: Float32Array,
  kernel: Float32Array,
  out: Float32Array,
): void {
  const reach = (kernel.length - 1) / 2;
  const begin = four(kernel.length);
  const to = begin + four(light.length + 2 * reach) + 4;
  const stride = four(light.length);
  const sums = blurring.room(to + stride);
  const { floats } = blurring;
  floats.set(kernel);
  floats.fill(light[0]!, begin, begin + reach);
  floats.set(light, begin + reach);
  const end = begin + reach + light.length;
  floats.fill(light.at(-1)!, end, end + reach);
  // One row after the other, each a pixel further along the same one.
  sums.weighedSum(begin * 4, 4, 0, kernel.length, to * 4, stride * 4);
  out.set(floats.subarray(to, to + light.length));
}
