import { medianOf } from '../medianOf';
import { straightLine } from './straightLine';
import type { PlanePoint } from './straightLine';

const { PI, abs, atan, floor, max, min } = Math;

/** Light of 0..255 of a picture made smaller by means of `factor` x `factor` pixels. */
export interface ReducedLight {
  width: number;
  height: number;
  data: Float32Array;
  /** Pixels of the picture in a pixel of this. */
  factor: number;
}

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

/**
 * Where the work ends and the bed or board begins, along one side. For left and right
 * x = at + slope x y, for top and bottom y = at + slope x x, in pixels of the picture.
 */
export interface BorderEdge {
  side: Side;
  at: number;
  slope: number;
  /** Turned clockwise against the picture's own side, degrees. */
  degrees: number;
  /** Share of the rows or columns in which the edge was seen on this line. */
  agreeing: number;
  /** Light of what lies outside, of 255. */
  outside: number;
}

/** How far in from a side an edge is looked for, as a share of the picture. */
const DEEPEST = 0.22;
/** Rows or columns that are looked through. */
const LINES = 480;
/** Least difference of light at an edge, of 255. */
const LEAST_STEP = 7;
/** What lies outside may vary by this much from line to line and still be a bed or a board. */
const PLAIN = 6;
/** Edges agree within this, reduced pixels. */
const SLACK = 1.2;
const LEAST_AGREEING = 0.55;
/** The narrowest strip that counts, reduced pixels. */
const NARROWEST = 3;

interface SeenEdge extends PlanePoint {
  outside: number;
}

/** Reads a line inwards from a side: `read(k)` is the light k pixels in. Null when nothing is met. */
function firstEdge(read: (k: number) => number, reach: number, u: number): SeenEdge | null {
  let sum = 0;
  for (let k = 0; k < NARROWEST; k += 1) sum += read(k);
  let outside = sum / NARROWEST;
  let count = NARROWEST;
  for (let k = NARROWEST; k < reach - 3; k += 1) {
    // Two in a row, so that a grain of dust on the bed is passed over.
    const away = read(k) - outside;
    const next = read(k + 1) - outside;
    const sign = away > 0 ? 1 : -1;
    if (sign * away < LEAST_STEP || sign * next < LEAST_STEP) {
      if (abs(away) < LEAST_STEP) {
        outside = (outside * count + read(k)) / (count + 1);
        count = min(count + 1, 40);
      }
      continue;
    }
    // Where the light steps most, to a part of a pixel.
    let weight = 0;
    let place = 0;
    for (let j = max(1, k - 2); j <= k + 2; j += 1) {
      const step = max(0, sign * (read(j) - read(j - 1)));
      weight += step;
      place += step * j;
    }
    return { u, v: weight > 0 ? place / weight : k, outside };
  }
  return null;
}

/** The edge along one side; null when no straight edge with something plain outside it is seen. */
export function borderEdge(light: ReducedLight, side: Side): BorderEdge | null {
  const { width, height, data, factor } = light;
  const upright = side === 'left' || side === 'right';
  const along = upright ? height : width;
  const across = upright ? width : height;
  const reach = floor(across * DEEPEST);
  if (along < 24 || reach < 8) return null;
  const far = side === 'right' || side === 'bottom';
  const step = max(1, along / LINES);
  const points: SeenEdge[] = [];
  let lines = 0;
  for (let u = 0; u < along; u += step, lines += 1) {
    const line = floor(u);
    const read = (k: number): number => {
      const v = far ? across - 1 - k : k;
      return upright ? data[line * width + v]! : data[v * width + line]!;
    };
    const seen = firstEdge(read, reach, line + 0.5);
    if (seen) points.push(far ? { ...seen, v: across - seen.v } : seen);
  }
  const line = straightLine(points, SLACK);
  if (!line || (line.agreeing * points.length) / lines < LEAST_AGREEING) return null;
  const on = points.filter((p) => abs(p.v - line.at - line.slope * p.u) <= SLACK);
  const outside = medianOf(on.map((p) => p.outside));
  const spread = medianOf(on.map((p) => abs(p.outside - outside)));
  if (spread > PLAIN) return null;
  const turn = (atan(line.slope) * 180) / PI;
  return {
    side,
    at: line.at * factor,
    slope: line.slope,
    degrees: upright ? -turn : turn,
    agreeing: (line.agreeing * points.length) / lines,
    outside,
  };
}
