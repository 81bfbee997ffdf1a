import { Matrix, solve } from 'ml-matrix';
import { perspectivePoint, after } from './perspective';
import type { Way } from './perspective';
import { blurred, fitted, halved, lightAt, longSide, meanSlope, planeOf } from './plane';
import type { LightPlane } from './plane';

/** A plane beside its halves, the whole one first. */
export type Halves = readonly LightPlane[];

/** Planes of a photograph, each half as large as the one before. */
export function halvesOf(plane: LightPlane): Halves {
  const planes = [blurred(plane, 0.7)];
  while (longSide(planes.at(-1)!) > 60) planes.push(halved(planes.at(-1)!));
  return planes;
}

const { abs, max, min, round, sqrt } = Math;

/** Means over squares of (2 reach + 1) pixels. */
function boxed({ width, height, data }: LightPlane, reach: number): Float32Array {
  const across = new Float32Array(data.length);
  for (let y = 0; y < height; y += 1) {
    const from = y * width;
    const at = (x: number) => data[from + min(width - 1, max(0, x))]!;
    let sum = 0;
    for (let k = -reach; k <= reach; k += 1) sum += at(k);
    for (let x = 0; x < width; x += 1) {
      across[from + x] = sum;
      sum += at(x + reach + 1) - at(x - reach);
    }
  }
  const out = new Float32Array(data.length);
  const sums = new Float64Array(width);
  const row = (y: number) => min(height - 1, max(0, y)) * width;
  for (let k = -reach; k <= reach; k += 1)
    for (let x = 0; x < width; x += 1) sums[x]! += across[row(k) + x]!;
  const by = 1 / (2 * reach + 1) ** 2;
  for (let y = 0; y < height; y += 1) {
    const [enters, leaves] = [row(y + reach + 1), row(y - reach)];
    for (let x = 0; x < width; x += 1) {
      out[y * width + x] = sums[x]! * by;
      sums[x]! += across[enters + x]! - across[leaves + x]!;
    }
  }
  return out;
}

/** What is called plain: spread of the light around, L*. */
export const PLAIN = 0.8;

/** Light over what lies around it: less its mean, over its spread; and the spread. */
export function evened(plane: LightPlane): { light: LightPlane; spread: Float32Array } {
  const { width, height, data } = plane;
  const reach = max(4, round(longSide(plane) / 24));
  const mean = boxed(plane, reach);
  const squares = planeOf(width, height);
  for (let i = 0; i < data.length; i += 1) squares.data[i] = (data[i]! - mean[i]!) ** 2;
  const spread = boxed(squares, reach);
  const light = planeOf(width, height);
  for (let i = 0; i < data.length; i += 1) {
    spread[i] = sqrt(spread[i]!);
    light.data[i] = (data[i]! - mean[i]!) / sqrt(spread[i]! ** 2 + PLAIN ** 2);
  }
  return { light, spread };
}

/** A picture to be found, at a size, ready to be laid over a photograph. */
export interface Template {
  plane: LightPlane;
  light: LightPlane;
  spread: Float32Array;
}

const templateFrom = (small: LightPlane): Template => {
  const plane = blurred(small, 0.7);
  return { plane, ...evened(plane) };
};

/** A picture ready to be laid over a photograph, its longer side so many pixels at most. */
export const templateOf = (picture: LightPlane, side: number): Template =>
  templateFrom(fitted(picture, side));

/** Templates of a picture, each longer side half of the one before; the first has so many pixels. */
export function templatesOf(picture: LightPlane, side: number, count: number): Template[] {
  const planes = [fitted(picture, side)];
  while (planes.length < count) planes.push(halved(planes.at(-1)!));
  return planes.map(templateFrom);
}

/** What lies in a photograph where a picture lies: as many pixels as the picture has; which of them are in it at all. */
export function seenThrough(
  way: Way,
  { width, height }: Pick<LightPlane, 'width' | 'height'>,
  photograph: Halves,
): { plane: LightPlane; inside: Uint8Array } {
  const whole = photograph[0]!;
  const [a, b] = [perspectivePoint(way, 0, 0), perspectivePoint(way, width, height)];
  const scale = Math.hypot(b.x - a.x, b.y - a.y) / Math.hypot(width, height);
  const level = min(photograph.length - 1, max(0, round(Math.log2(max(1, scale)))));
  const from = photograph[level]!;
  const [sx, sy] = [from.width / whole.width, from.height / whole.height];
  const plane = planeOf(width, height);
  const inside = new Uint8Array(width * height);
  for (let y = 0, at = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, at += 1) {
      const [px, py] = [x + 0.5, y + 0.5];
      const w = way[6]! * px + way[7]! * py + way[8]!;
      const u = (way[0]! * px + way[1]! * py + way[2]!) / w;
      const v = (way[3]! * px + way[4]! * py + way[5]!) / w;
      plane.data[at] = lightAt(from, u * sx, v * sy);
      inside[at] = u > 1 && v > 1 && u < whole.width - 1 && v < whole.height - 1 ? 1 : 0;
    }
  return { plane, inside };
}

const PARAMETERS = 8;
/** Steps at most at one size; a step that moves no corner by more than this, pixels, is the last. */
const STEPS = 14;
const STILL = 0.03;

interface Over {
  own: Float32Array;
  seen: Float32Array;
  inside: Uint8Array;
  width: number;
  height: number;
}

/** Normal equations of one step: how the light changes with each of the eight numbers, and what is off. */
function normalOf(
  { own, seen, inside, width, height }: Over,
  usual: number,
  normal: Float64Array,
  right: Float64Array,
): void {
  const half = max(width, height) / 2;
  const [cx, cy] = [width / 2, height / 2];
  const j = new Float64Array(PARAMETERS);
  normal.fill(0);
  right.fill(0);
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const i = y * width + x;
      if (inside[i] === 0) continue;
      const gx = meanSlope(own, seen, i, 1);
      const gy = meanSlope(own, seen, i, width);
      const off = own[i]! - seen[i]!;
      const far = off / (2 * usual);
      const weight = 1 / (1 + far * far);
      const u = (x + 0.5 - cx) / half;
      const v = (y + 0.5 - cy) / half;
      const radial = -(u * gx + v * gy);
      j[0] = u * gx;
      j[1] = v * gx;
      j[2] = gx;
      j[3] = u * gy;
      j[4] = v * gy;
      j[5] = gy;
      j[6] = u * radial;
      j[7] = v * radial;
      for (let r = 0; r < PARAMETERS; r += 1) {
        const by = weight * j[r]!;
        right[r]! += by * off;
        for (let c = r; c < PARAMETERS; c += 1) normal[r * PARAMETERS + c]! += by * j[c]!;
      }
    }
}

/**
 * Lays a picture over a photograph as exactly as their light allows, from a way that is nearly
 * right: steps of Gauss and Newton over a perspective, light over what lies around it, gradients of both
 * (Malis 2004), what differs much weighs less. `way` is of the template's pixels.
 */
export function aligned(template: Template, photograph: Halves, way: Way): Way {
  const { width, height } = template.plane;
  const half = max(width, height) / 2;
  const [cx, cy] = [width / 2, height / 2];
  const frame: Way = [half, 0, cx, 0, half, cy, 0, 0, 1];
  const unframe: Way = [1 / half, 0, -cx / half, 0, 1 / half, -cy / half, 0, 0, 1];
  const own = template.light.data;
  const normal = new Float64Array(PARAMETERS * PARAMETERS);
  const right = new Float64Array(PARAMETERS);
  let now = way;
  for (let step = 0; step < STEPS; step += 1) {
    const { plane, inside } = seenThrough(now, template.plane, photograph);
    const seen = evened(plane).light.data;
    // How far the two are apart at most places.
    let total = 0;
    let count = 0;
    for (let i = 0; i < seen.length; i += 7)
      if (inside[i]) {
        total += abs(own[i]! - seen[i]!);
        count += 1;
      }
    if (count < 50) return now;
    const usual = max(0.02, total / count);
    const sums = Matrix.zeros(PARAMETERS, PARAMETERS);
    normalOf({ own, seen, inside, width, height }, usual, normal, right);
    for (let r = 0; r < PARAMETERS; r += 1)
      for (let c = 0; c < PARAMETERS; c += 1)
        sums.set(r, c, normal[min(r, c) * PARAMETERS + max(r, c)]!);
    for (let r = 0; r < PARAMETERS; r += 1) sums.set(r, r, sums.get(r, r) * 1.0001 + 1e-6);
    const moved = solve(sums, Matrix.columnVector(Array.from(right))).to1DArray();
    if (!moved.every(Number.isFinite)) return now;
    // Numbers are in halves of the longer side, gradients in pixels.
    const [a, b, c, d, e, f, g, h] = moved.map((v) => v / half) as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    now = after(now, after(frame, after([1 + a, b, c, d, 1 + e, f, g, h, 1], unframe)));
    if (max(...moved.map(abs)) < STILL) break;
  }
  return now;
}
