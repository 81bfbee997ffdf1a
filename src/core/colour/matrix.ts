import type { RgbSpace } from './spaces';

export type Vector = [number, number, number];
export type Matrix = [Vector, Vector, Vector];

/** ICC profile connection space white, as ICC.1 rounds it. */
export const D50: Vector = [0.9642, 1, 0.8249];

/** A 3 x 3 matrix times a column of three. */
export const apply = (m: Matrix, v: Vector): Vector =>
  m.map((row) => row[0] * v[0] + row[1] * v[1] + row[2] * v[2]) as Vector;

/** The product of two 3 x 3 matrices: `b` is applied first. */
export const multiply = (a: Matrix, b: Matrix): Matrix =>
  a.map((row) =>
    [0, 1, 2].map(
      (k) => row[0] * b[0][k as 0] + row[1] * b[1][k as 0] + row[2] * b[2][k as 0],
    ),
  ) as Matrix;

/** Inverse by cofactors; throws RangeError for a singular matrix. */
export function invert(m: Matrix): Matrix {
  const [[a, b, c], [d, e, f], [g, h, i]] = m;
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  if (Math.abs(det) < 1e-12) throw new RangeError('singular matrix');
  return [
    [(e * i - f * h) / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [(f * g - d * i) / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [(d * h - e * g) / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ];
}

const xyzOf = ([x, y]: [number, number]): Vector => [x / y, 1, (1 - x - y) / y];

const BRADFORD: Matrix = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];

/** Bradford adaptation from a white (XYZ) to D50 (ICC.1 annex E). */
export function adaptToD50(white: Vector): Matrix {
  const from = apply(BRADFORD, white);
  const to = apply(BRADFORD, D50);
  const scale: Matrix = [
    [to[0] / from[0], 0, 0],
    [0, to[1] / from[1], 0],
    [0, 0, to[2] / from[2]],
  ];
  return multiply(invert(BRADFORD), multiply(scale, BRADFORD));
}

/** Linear RGB of a space -> XYZ relative to D50; columns are the ICC colorants. */
export function rgbToXyzD50(space: Omit<RgbSpace, 'id'>): Matrix {
  const columns = space.primaries.map(xyzOf) as Matrix;
  const base: Matrix = [
    [columns[0][0], columns[1][0], columns[2][0]],
    [columns[0][1], columns[1][1], columns[2][1]],
    [columns[0][2], columns[1][2], columns[2][2]],
  ];
  const white = xyzOf(space.white);
  const [r, g, b] = apply(invert(base), white);
  const scaled = base.map((row) => [row[0] * r, row[1] * g, row[2] * b]) as Matrix;
  return multiply(adaptToD50(white), scaled);
}
