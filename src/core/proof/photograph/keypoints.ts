import { blurred, halved } from './plane';
import type { LightPlane } from './plane';

/** Places of a picture that are found again in a photograph of it. */
export interface Keypoints {
  count: number;
  /** Place, pixels of the plane; radius, pixels; angle, radians. */
  x: number[];
  y: number[];
  size: number[];
  angle: number[];
  /** What each looks like: 128 numbers, of length one together. */
  looks: Float32Array;
}

export const LOOK = 128;
/** Blurs of one octave; that of its first, pixels. */
const SCALES = 3;
const FIRST = 1.6;
/** Least difference of two blurs, L*, that is a place: less is noise. */
const LEAST = 0.35;
/** A place on a plain edge can slide along it: curvature one way over the other. */
const EDGE = 10;
/** Places a picture is given at most, and in each of the squares it is cut into. */
const SQUARES = 10;
const { PI, abs, atan2, cos, exp, floor, hypot, max, min, round, sin, sqrt } = Math;

interface Found {
  x: number;
  y: number;
  size: number;
  strength: number;
  /** The blurred plane it is seen in, and its scale there. */
  plane: LightPlane;
  sigma: number;
  /** Pixels of the whole plane in one of this. */
  step: number;
}

/** Place of the extreme between pixels, by a parabola each way; how far from the pixel in its middle. */
const between = (before: number, at: number, after: number): number => {
  const bend = before - 2 * at + after;
  return abs(bend) < 1e-9 ? 0 : max(-0.5, min(0.5, (before - after) / (2 * bend)));
};

function extremesOf(planes: readonly LightPlane[], step: number): Found[] {
  const { width, height } = planes[0]!;
  const differences = planes.slice(1).map((p, i) => {
    const out = new Float32Array(p.data.length);
    for (let k = 0; k < out.length; k += 1) out[k] = p.data[k]! - planes[i]!.data[k]!;
    return out;
  });
  const found: Found[] = [];
  for (let s = 1; s + 1 < differences.length; s += 1) {
    const [under, own, over] = [differences[s - 1]!, differences[s]!, differences[s + 1]!];
    for (let y = 6; y < height - 6; y += 1)
      for (let x = 6; x < width - 6; x += 1) {
        const at = y * width + x;
        const v = own[at]!;
        if (abs(v) < LEAST) continue;
        let extreme = true;
        for (let dy = -width; extreme && dy <= width; dy += width)
          for (let dx = -1; dx <= 1; dx += 1) {
            const k = at + dy + dx;
            const beside = k === at ? -Infinity : v > 0 ? own[k]! : -own[k]!;
            const size = abs(v);
            if (
              beside >= size ||
              (v > 0 ? under[k]! : -under[k]!) >= size ||
              (v > 0 ? over[k]! : -over[k]!) >= size
            ) {
              extreme = false;
              break;
            }
          }
        if (!extreme) continue;
        const xx = own[at - 1]! + own[at + 1]! - 2 * v;
        const yy = own[at - width]! + own[at + width]! - 2 * v;
        const xy =
          (own[at - width - 1]! +
            own[at + width + 1]! -
            own[at - width + 1]! -
            own[at + width - 1]!) /
          4;
        const det = xx * yy - xy * xy;
        if (det <= 0 || ((xx + yy) * (xx + yy)) / det > ((EDGE + 1) * (EDGE + 1)) / EDGE)
          continue;
        const sigma = FIRST * 2 ** ((s + between(under[at]!, v, over[at]!)) / SCALES);
        found.push({
          x: (x + 0.5 + between(own[at - 1]!, v, own[at + 1]!)) * step,
          y: (y + 0.5 + between(own[at - width]!, v, own[at + width]!)) * step,
          size: sigma * step,
          strength: abs(v),
          plane: planes[s]!,
          sigma,
          step,
        });
      }
  }
  return found;
}

/** The strongest places, but not more from one square of the picture than it can take. */
function spread(found: Found[], plane: LightPlane, most: number): Found[] {
  const each = Math.ceil((most * 3) / SQUARES ** 2);
  const taken = new Map<number, number>();
  const square = ({ x, y }: Found) =>
    floor((x / plane.width) * SQUARES) + SQUARES * floor((y / plane.height) * SQUARES);
  return found
    .sort((a, b) => b.strength - a.strength)
    .filter((f) => {
      const at = square(f);
      const n = taken.get(at) ?? 0;
      taken.set(at, n + 1);
      return n < each;
    })
    .slice(0, most);
}

const BINS = 36;

/** Which ways the light rises around a place, one or two, radians. */
function anglesOf({ plane, x, y, step, sigma }: Found): number[] {
  const { width, height, data } = plane;
  const [cx, cy] = [round(x / step - 0.5), round(y / step - 0.5)];
  const reach = round(4.5 * sigma);
  const bins = new Float64Array(BINS);
  for (let dy = -reach; dy <= reach; dy += 1)
    for (let dx = -reach; dx <= reach; dx += 1) {
      const [px, py] = [cx + dx, cy + dy];
      if (px < 1 || py < 1 || px >= width - 1 || py >= height - 1) continue;
      const at = py * width + px;
      const gx = data[at + 1]! - data[at - 1]!;
      const gy = data[at + width]! - data[at - width]!;
      const weight = exp(-(dx * dx + dy * dy) / (4.5 * sigma * sigma));
      const bin = floor(((atan2(gy, gx) + PI) / (2 * PI)) * BINS) % BINS;
      bins[bin]! += weight * hypot(gx, gy);
    }
  const of = (k: number) => bins[(k + BINS) % BINS]!;
  const smoothed = Array.from(
    bins,
    (_, k) => (of(k - 2) + of(k + 2)) / 16 + (of(k - 1) + of(k + 1)) / 4 + (of(k) * 6) / 16,
  );
  const most = max(...smoothed);
  if (most === 0) return [];
  return smoothed
    .flatMap((v, k) => {
      const before = smoothed[(k + BINS - 1) % BINS]!;
      const after = smoothed[(k + 1) % BINS]!;
      if (v < 0.8 * most || v < before || v <= after) return [];
      const at = k + 0.5 + between(before, v, after);
      return [{ v, angle: (at / BINS) * 2 * PI - PI }];
    })
    .sort((a, b) => b.v - a.v)
    .slice(0, 2)
    .map((p) => p.angle);
}

/** What a place looks like, seen along its angle: 4 x 4 squares of 8 directions, whatever the light and contrast. */
function lookOf({ plane, x, y, step, sigma }: Found, angle: number, out: Float32Array) {
  const { width, height, data } = plane;
  const [cx, cy] = [x / step - 0.5, y / step - 0.5];
  const square = 3 * sigma;
  const reach = floor(square * sqrt(2) * 2.5 + 0.5);
  const [c, s] = [cos(angle) / square, sin(angle) / square];
  for (let dy = -reach; dy <= reach; dy += 1)
    for (let dx = -reach; dx <= reach; dx += 1) {
      const [px, py] = [round(cx) + dx, round(cy) + dy];
      if (px < 1 || py < 1 || px >= width - 1 || py >= height - 1) continue;
      const [ox, oy] = [px - cx, py - cy];
      const u = c * ox + s * oy + 1.5;
      const v = c * oy - s * ox + 1.5;
      if (u <= -1 || v <= -1 || u >= 4 || v >= 4) continue;
      const at = py * width + px;
      const gx = data[at + 1]! - data[at - 1]!;
      const gy = data[at + width]! - data[at - width]!;
      const way = (((atan2(gy, gx) - angle) / (2 * PI)) * 8 + 16) % 8;
      const weight = hypot(gx, gy) * exp(-((u - 1.5) ** 2 + (v - 1.5) ** 2) / 8);
      const [u0, v0, w0] = [floor(u), floor(v), floor(way)];
      for (let i = 0; i < 8; i += 1) {
        const [ui, vi] = [u0 + (i & 1), v0 + ((i >> 1) & 1)];
        if (ui < 0 || vi < 0 || ui > 3 || vi > 3) continue;
        const part =
          (i & 1 ? u - u0 : 1 - u + u0) *
          ((i >> 1) & 1 ? v - v0 : 1 - v + v0) *
          (i >> 2 ? way - w0 : 1 - way + w0);
        out[(vi * 4 + ui) * 8 + ((w0 + (i >> 2)) % 8)]! += part * weight;
      }
    }
  let sum = 0;
  for (const v of out) sum += v;
  // Roots, so that one strong edge does not speak for all (Arandjelovic and Zisserman 2012).
  for (let k = 0; k < LOOK; k += 1) out[k] = sum > 0 ? sqrt(out[k]! / sum) : 0;
}

/**
 * Places of a picture that are found again however large, turned or lit it is photographed: extremes of
 * differences of Gaussians, each with what it looks like (Lowe 2004).
 */
export function keypointsOf(plane: LightPlane, most = 1500): Keypoints {
  const found: Found[] = [];
  let base = blurred(plane, sqrt(FIRST ** 2 - 0.25));
  for (let step = 1; min(base.width, base.height) >= 20; step *= 2) {
    const planes = [base];
    for (let s = 1; s < SCALES + 3; s += 1) {
      const before = FIRST * 2 ** ((s - 1) / SCALES);
      planes.push(blurred(planes[s - 1]!, before * sqrt(2 ** (2 / SCALES) - 1)));
    }
    found.push(...extremesOf(planes, step));
    base = halved(planes[SCALES]!);
  }
  const kept = spread(found, plane, most).flatMap((f) =>
    anglesOf(f).map((angle) => ({ f, angle })),
  );
  const looks = new Float32Array(kept.length * LOOK);
  kept.forEach(({ f, angle }, i) =>
    lookOf(f, angle, looks.subarray(i * LOOK, (i + 1) * LOOK)),
  );
  return {
    count: kept.length,
    x: kept.map((k) => k.f.x),
    y: kept.map((k) => k.f.y),
    size: kept.map((k) => k.f.size),
    angle: kept.map((k) => k.angle),
    looks,
  };
}

/** Those of some places that lie where they are wanted. */
export function pointsWhere(
  points: Keypoints,
  wanted: (x: number, y: number) => boolean,
): Keypoints {
  const keep = points.x.flatMap((x, i) => (wanted(x, points.y[i]!) ? [i] : []));
  const pick = (of: number[]) => keep.map((i) => of[i]!);
  const looks = new Float32Array(keep.length * LOOK);
  keep.forEach((i, k) =>
    looks.set(points.looks.subarray(i * LOOK, (i + 1) * LOOK), k * LOOK),
  );
  return {
    count: keep.length,
    x: pick(points.x),
    y: pick(points.y),
    size: pick(points.size),
    angle: pick(points.angle),
    looks,
  };
}
