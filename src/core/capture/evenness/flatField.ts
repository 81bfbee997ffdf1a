import { Matrix, solve } from 'ml-matrix';
import type { BoardGrid } from './boardGrid';

/** Falloff as a smooth surface over the frame, in stops under its brightest place. */
export interface FlatField {
  /** Highest power along each axis, and of both together. */
  degree: number;
  /** Of the products of Legendre polynomials, in the order of `powersOf`. */
  coefficients: number[];
}

const DEGREE = 4;
/** A board whose cells leave the smooth surface by more than this (root mean square, stops) is not plain. */
const LEAST_PLAIN = 0.06;

/** Pairs of degrees along x and y. */
export const powersOf = (degree: number): [number, number][] => {
  const pairs: [number, number][] = [];
  for (let total = 0; total <= degree; total += 1)
    for (let j = 0; j <= total; j += 1) pairs.push([total - j, j]);
  return pairs;
};

/** Legendre polynomials 0..degree at t of -1..1. */
export function legendre(t: number, degree: number): number[] {
  const p = [1, t];
  for (let n = 1; n < degree; n += 1)
    p.push(((2 * n + 1) * t * p[n]! - n * p[n - 1]!) / (n + 1));
  return p;
}

/** Value of a surface at x, y of 0..1, stops. */
export function stopsAt({ degree, coefficients }: FlatField, x: number, y: number): number {
  const px = legendre(2 * x - 1, degree);
  const py = legendre(2 * y - 1, degree);
  return powersOf(degree).reduce(
    (sum, [i, j], k) => sum + coefficients[k]! * px[i]! * py[j]!,
    0,
  );
}

export type FlatFieldAnswer =
  | { ok: true; field: FlatField; residual: number }
  /** `dark`: there is hardly any light in it; `notPlain`: something other than a board is in it. */
  | { ok: false; because: 'dark' | 'notPlain'; residual: number };

/** Fits the surface by least squares to the logarithms of the board's light. */
export function fitFlatField(grid: BoardGrid): FlatFieldAnswer {
  const { columns, rows, light } = grid;
  const pairs = powersOf(DEGREE);
  const lightest = light.reduce((a, b) => Math.max(a, b), 0);
  if (lightest < 0.01) return { ok: false, because: 'dark', residual: 0 };
  const a: number[][] = [];
  const b: number[][] = [];
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < columns; x += 1) {
      const px = legendre((2 * (x + 0.5)) / columns - 1, DEGREE);
      const py = legendre((2 * (y + 0.5)) / rows - 1, DEGREE);
      a.push(pairs.map(([i, j]) => px[i]! * py[j]!));
      b.push([Math.log2(Math.max(light[y * columns + x]!, 1e-6))]);
    }
  const basis = new Matrix(a);
  const found = solve(basis, new Matrix(b), true);
  const fitted = basis.mmul(found);
  let squares = 0;
  let highest = -Infinity;
  for (let i = 0; i < b.length; i += 1) {
    squares += (fitted.get(i, 0) - b[i]![0]!) ** 2;
    highest = Math.max(highest, fitted.get(i, 0));
  }
  const residual = Math.sqrt(squares / b.length);
  if (residual > LEAST_PLAIN) return { ok: false, because: 'notPlain', residual };
  const coefficients = found.to1DArray();
  coefficients[0]! -= highest;
  return { ok: true, field: { degree: DEGREE, coefficients }, residual };
}
