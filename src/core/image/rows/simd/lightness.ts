import { LIGHTNESS } from '@/core/colour';
import { Scratch, four } from './scratch';

const rows = new Scratch();
const { toeLight, toeValue, slope, scale, less } = LIGHTNESS;

/** A row in the memory of the sums, changed there, and put out. */
function recoded(
  name: 'encode' | 'decode',
  row: Float32Array,
  out: Float32Array,
  ...by: [number, number, number, number]
): void {
  const { length } = row;
  const room = four(length);
  const sums = rows.room(room);
  rows.floats.set(row);
  sums[name](0, room * 4, ...by);
  out.set(rows.floats.subarray(0, length));
}

/** Linear light to encoded values of the working space, both 0..65535, overshoot included. */
export const encodeLight = (light: Float32Array, out: Float32Array): void =>
  recoded('encode', light, out, toeLight, slope, scale, less);

/** Encoded values of the working space to linear light, both 0..65535. */
export const decodeLight = (values: Float32Array, out: Float32Array): void =>
  recoded('decode', values, out, toeValue, 1 / slope, 1 / scale, less / scale);
