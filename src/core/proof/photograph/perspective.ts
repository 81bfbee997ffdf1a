import { Matrix, inverse, solve } from 'ml-matrix';
import { perspectiveTo } from '../../capture/derivation';
import type { Corners, Place } from '../../capture/geometry';

/** A perspective as nine numbers, by rows: places of a picture (pixels) to those of a photograph. */
export type Way = readonly number[];

export interface PairedPoint {
  x: number;
  y: number;
  toX: number;
  toY: number;
}

/** Where a place goes. */
export function perspectivePoint(way: Way, x: number, y: number): Place {
  const w = way[6]! * x + way[7]! * y + way[8]!;
  return {
    x: (way[0]! * x + way[1]! * y + way[2]!) / w,
    y: (way[3]! * x + way[4]! * y + way[5]!) / w,
  };
}

const matrix = (way: Way) => new Matrix([0, 3, 6].map((r) => way.slice(r, r + 3)));

/** One way after another: `then` of what `first` gives. */
export const after = (then: Way, first: Way): Way => {
  const out = matrix(then).mmul(matrix(first)).to1DArray();
  return out.map((v) => v / out[8]!);
};

/** The way back: places of the photograph to those of the picture. */
export const back = (way: Way): Way => {
  const out = inverse(matrix(way)).to1DArray();
  return out.map((v) => v / out[8]!);
};

/** Width and height, pixels. */
export type Size = Readonly<Record<'width' | 'height', number>>;

/** A picture made another size, as a way: each side by itself, since sizes are whole pixels. */
const resizing = (from: Size, to: Size): Way => [
  to.width / from.width,
  0,
  0,
  0,
  to.height / from.height,
  0,
  0,
  0,
  1,
];

/** The same way where the picture, and the photograph, have other sizes. */
export const scaledWay = (
  way: Way,
  picture: readonly [from: Size, to: Size],
  photograph: readonly [from: Size, to: Size],
): Way => after(resizing(...photograph), after(way, resizing(picture[1], picture[0])));

/** The way that takes the corners of a picture of a size to four places. Throws where three lie on one line. */
export const wayTo = (width: number, height: number, corners: Corners): Way => [
  ...perspectiveTo(width, height, corners),
  1,
];

/** Where the corners of a picture of a size lie: top left, top right, bottom right, bottom left. */
export const cornersOf = (way: Way, width: number, height: number): Corners => [
  perspectivePoint(way, 0, 0),
  perspectivePoint(way, width, 0),
  perspectivePoint(way, width, height),
  perspectivePoint(way, 0, height),
];

/** Twice the area of a quadrilateral, above 0 where its corners go clockwise as seen. */
const twiceArea = (corners: Corners): number =>
  corners.reduce((sum, p, i) => {
    const q = corners[(i + 1) % 4]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0);

/** The area of a quadrilateral, square pixels; above 0 where its corners go clockwise as seen. */
export const areaOf = (corners: Corners): number => twiceArea(corners) / 2;

/** Whether four corners are those of a picture seen from in front: convex, clockwise, no side a multiple of the other. */
export function isSeen(corners: Corners): boolean {
  const side = (i: number) => {
    const [p, q] = [corners[i % 4]!, corners[(i + 1) % 4]!];
    return { dx: q.x - p.x, dy: q.y - p.y, length: Math.hypot(q.x - p.x, q.y - p.y) };
  };
  const sides = [0, 1, 2, 3].map(side);
  const turns = sides.every((s, i) => {
    const next = sides[(i + 1) % 4]!;
    const cross = s.dx * next.dy - s.dy * next.dx;
    return cross > 0.3 * s.length * next.length;
  });
  const alike = (a: number, b: number) => a < 2 * b && b < 2 * a;
  return (
    corners.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)) &&
    turns &&
    alike(sides[0]!.length, sides[2]!.length) &&
    alike(sides[1]!.length, sides[3]!.length)
  );
}

/** The perspective nearest to pairs of places, four or more (Hartley's scaling, least squares); null where there is none. */
export function fitPerspective(pairs: readonly PairedPoint[]): Way | null {
  if (pairs.length < 4) return null;
  const frame = (xs: number[], ys: number[]) => {
    const mean = (v: number[]) => v.reduce((a, b) => a + b, 0) / v.length;
    const [cx, cy] = [mean(xs), mean(ys)];
    const spread = mean(xs.map((x, i) => Math.hypot(x - cx, ys[i]! - cy))) || 1;
    return { cx, cy, by: Math.SQRT2 / spread };
  };
  const from = frame(
    pairs.map((p) => p.x),
    pairs.map((p) => p.y),
  );
  const to = frame(
    pairs.map((p) => p.toX),
    pairs.map((p) => p.toY),
  );
  const rows: number[][] = [];
  const right: number[][] = [];
  for (const p of pairs) {
    const [x, y] = [(p.x - from.cx) * from.by, (p.y - from.cy) * from.by];
    const [u, v] = [(p.toX - to.cx) * to.by, (p.toY - to.cy) * to.by];
    rows.push([x, y, 1, 0, 0, 0, -x * u, -y * u], [0, 0, 0, x, y, 1, -x * v, -y * v]);
    right.push([u], [v]);
  }
  try {
    const found = [...solve(new Matrix(rows), new Matrix(right), true).to1DArray(), 1];
    if (!found.every(Number.isFinite)) return null;
    const there: Way = [
      from.by,
      0,
      -from.by * from.cx,
      0,
      from.by,
      -from.by * from.cy,
      0,
      0,
      1,
    ];
    const home: Way = [1 / to.by, 0, to.cx, 0, 1 / to.by, to.cy, 0, 0, 1];
    return after(home, after(found, there));
  } catch {
    return null;
  }
}
