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

/** The share of a pixel's light that is lost in single precision: what is less of one channel is none. */
const NOISE = 1e-6;
const WHOLE = 65535;
/** Floats of a matrix in its columns, each with one float to spare. */
const COLUMNS = 12;
const aside = new Scratch();

/**
 * Pixels of three encoded values of the working space to where the tables of a target's curves are
 * looked up: through a matrix of its light, the square root x `points`. They lie in memory that is
 * used again. `matrix`: row by row, light 0..1.
 */
export function placesOf(
  values: Float32Array,
  matrix: readonly number[],
  points: number,
): Float32Array {
  const { length } = values;
  const to = COLUMNS + length + 4;
  const sums = aside.room(to + length + 4);
  const { floats } = aside;
  for (let c = 0; c < 3; c += 1)
    for (let r = 0; r < 3; r += 1) floats[c * 4 + r] = matrix[r * 3 + c]!;
  floats.set(values, COLUMNS);
  sums.places(
    COLUMNS * 4,
    to * 4,
    (COLUMNS + length) * 4,
    0,
    toeValue,
    1 / (slope * WHOLE),
    1 / scale / Math.cbrt(WHOLE),
    less / scale / Math.cbrt(WHOLE),
    NOISE,
    points,
  );
  return floats.subarray(to, to + length);
}
