import { medianOf } from '../../capture/medianOf';
import type { Box } from '../../image/rows';
import { PLAIN, evened, seenThrough } from './align';
import type { Halves, Template } from './align';
import { blurred, meanSlope } from './plane';
import type { Way } from './perspective';

/** Parts that the longer side of a picture is cut into, to see whether each is there. */
const PARTS = 8;
/** Correlation of light from which a part is seen to be the same. */
export const SAME = 0.5;
const { hypot, max, min, round, sqrt } = Math;

/** One part of a picture held against what lies in its place in a photograph. */
export interface Part {
  column: number;
  row: number;
  /** Too plain, or outside the photograph: nothing can be said of it. */
  plain: boolean;
  /** Correlation of the light over what lies around it, -1..1. */
  alike: number;
  /** How far it lies off, pixels of the template. */
  off: number;
}

export interface Agreement {
  columns: number;
  rows: number;
  parts: Part[];
  /** Parts that something can be said of, and of them the ones that are the same. */
  told: number;
  same: number;
  /** Correlation in the middle of all told. */
  alike: number;
  /** How far parts that are the same lie off, in the middle, and nine of ten at most; pixels of the template. */
  off: number;
  mostOff: number;
}

/**
 * How far a part lies off: the step that makes its light the same; only across what it shows, since
 * a line can slide along itself unseen.
 */
function offOf(xx: number, xy: number, yy: number, x: number, y: number): number {
  const mid = (xx + yy) / 2;
  const apart = hypot((xx - yy) / 2, xy);
  let off = 0;
  for (const value of [mid + apart, mid - apart]) {
    if (value < 0.15 * (mid + apart) || value < 1e-6) continue;
    const [vx, vy] = xy === 0 ? (value === xx ? [1, 0] : [0, 1]) : [xy, value - xx];
    const length = hypot(vx, vy);
    off += ((vx * x + vy * y) / length / value) ** 2;
  }
  return sqrt(off);
}

/** What is summed over a part: light of both, its squares and product, gradients and what is off. */
const SUMS = 12;
type Sums = [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

interface Held {
  own: Float32Array;
  seen: Float32Array;
  spread: Float32Array;
  inside: Uint8Array;
  width: number;
}

function sumsOf(
  { own, seen, spread, inside, width }: Held,
  { left, top, right, bottom }: Box,
  sums: Float64Array,
): void {
  sums.fill(0);
  for (let y = top; y < bottom; y += 1)
    for (let x = left; x < right; x += 1) {
      const i = y * width + x;
      if (inside[i] === 0) continue;
      const a = own[i]!;
      const b = seen[i]!;
      const gx = meanSlope(own, seen, i, 1);
      const gy = meanSlope(own, seen, i, width);
      const off = a - b;
      sums[0]! += 1;
      sums[1]! += a;
      sums[2]! += b;
      sums[3]! += a * a;
      sums[4]! += b * b;
      sums[5]! += a * b;
      sums[6]! += spread[i]!;
      sums[7]! += gx * gx;
      sums[8]! += gx * gy;
      sums[9]! += gy * gy;
      sums[10]! += gx * off;
      sums[11]! += gy * off;
    }
}

/** Whether a picture is in a photograph where it is said to be, part by part. */
export function agreementOf(template: Template, photograph: Halves, way: Way): Agreement {
  const { width, height } = template.plane;
  const { plane, inside } = seenThrough(way, template.plane, photograph);
  // Blurred alike a little, so that grain is not taken for a difference.
  const there = evened(blurred(plane, 0.8));
  const here = evened(blurred(template.plane, 0.8));
  const held = {
    own: here.light.data,
    seen: there.light.data,
    spread: here.spread,
    inside,
    width,
  };
  const size = max(width, height) / PARTS;
  const columns = max(1, round(width / size));
  const rows = max(1, round(height / size));
  const parts: Part[] = [];
  const sums = new Float64Array(SUMS);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const box = {
        left: max(1, round((column * width) / columns)),
        top: max(1, round((row * height) / rows)),
        right: min(width - 1, round(((column + 1) * width) / columns)),
        bottom: min(height - 1, round(((row + 1) * height) / rows)),
      };
      sumsOf(held, box, sums);
      const [n, a, b, aa, bb, ab, spread, xx, xy, yy, rx, ry] = Array.from(sums) as Sums;
      const whole = (box.right - box.left) * (box.bottom - box.top);
      const deep = sqrt(
        max(0, aa - (a * a) / max(1, n)) * max(0, bb - (b * b) / max(1, n)),
      );
      parts.push({
        column,
        row,
        plain: n < whole * 0.6 || spread / max(1, n) < PLAIN,
        alike: deep > 0 ? (ab - (a * b) / n) / deep : 0,
        off: offOf(xx, xy, yy, rx, ry),
      });
    }
  const told = parts.filter((p) => !p.plain);
  const same = told.filter((p) => p.alike >= SAME);
  const off = same.map((p) => p.off).sort((a, b) => a - b);
  return {
    columns,
    rows,
    parts,
    told: told.length,
    same: same.length,
    alike: medianOf(told.map((p) => p.alike)),
    off: off.length === 0 ? Infinity : medianOf(off),
    mostOff: off[Math.floor(off.length * 0.9)] ?? Infinity,
  };
}

/** Parts that must be told, the share of them that must be the same, and how alike they must be. */
const LEAST_TOLD = 4;
const LEAST_SAME = 0.5;

/** Whether what lies there is plainly something else; where too little can be told it may be the picture. */
export const isElse = (agreement: Agreement): boolean =>
  agreement.told >= LEAST_TOLD && !isThere(agreement);

/** Whether what lies there is the picture. */
export const isThere = ({ told, same, alike }: Agreement): boolean =>
  told >= LEAST_TOLD && same >= LEAST_SAME * told && alike >= SAME;
