import { Matrix, solve } from 'ml-matrix';
import type { Corners, Place } from '../geometry';

/** x' = (a x + b y + c) / (g x + h y + 1), y' = (d x + e y + f) / (g x + h y + 1). */
export type Perspective = readonly [
  a: number,
  b: number,
  c: number,
  d: number,
  e: number,
  f: number,
  g: number,
  h: number,
];

/**
 * The perspective that takes a rectangle of a size (corners at 0 and width, height) to four
 * corners: eight linear equations from the four pairs of points. Throws when three corners
 * lie on one line.
 */
export function perspectiveTo(
  width: number,
  height: number,
  corners: Corners,
): Perspective {
  const from: Place[] = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  const rows: number[][] = [];
  const right: number[][] = [];
  from.forEach(({ x, y }, i) => {
    const to = corners[i]!;
    rows.push([x, y, 1, 0, 0, 0, -x * to.x, -y * to.x]);
    right.push([to.x]);
    rows.push([0, 0, 0, x, y, 1, -x * to.y, -y * to.y]);
    right.push([to.y]);
  });
  return solve(new Matrix(rows), new Matrix(right)).to1DArray() as unknown as Perspective;
}

/** Where a place goes. */
export function seenAt(p: Perspective, x: number, y: number): Place {
  const w = p[6] * x + p[7] * y + 1;
  return { x: (p[0] * x + p[1] * y + p[2]) / w, y: (p[3] * x + p[4] * y + p[5]) / w };
}
