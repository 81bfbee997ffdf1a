/** Lightness L*, 0..100, of a picture, row by row. Places are counted from its top left corner: the middle of the first pixel is at 0.5. */
export interface LightPlane {
  width: number;
  height: number;
  data: Float32Array;
}

/** A plane without light. */
export const planeOf = (width: number, height: number): LightPlane => ({
  width,
  height,
  data: new Float32Array(width * height),
});

/** The longer side, pixels. */
export const longSide = ({ width, height }: Pick<LightPlane, 'width' | 'height'>): number =>
  Math.max(width, height);

/** Means that are taken one after another to blur as a Gaussian does. */
const MEANS = 3;

/** A mean over so many pixels each way, and a part of the next on each side, which has a given variance. */
function meanOf(variance: number): { reach: number; part: number } {
  // (2 r + 1)^2 - 1 is twelve times the variance of a mean over whole pixels.
  const reach = Math.floor((Math.sqrt(1 + 12 * variance) - 1) / 2);
  const whole = 2 * reach + 1;
  const inner = (reach * (reach + 1) * whole) / 3;
  // Variance of the whole ones and two parts: (inner + 2 part (r + 1)^2) / (2 r + 1 + 2 part).
  const part = (inner - variance * whole) / (2 * variance - 2 * (reach + 1) ** 2);
  return { reach, part };
}

/**
 * Blurred by nearly a Gaussian of a radius in pixels: three means, each with parts of a pixel at its ends
 * (Gwosdek and others 2011), whose cost does not grow with the radius. Beyond the sides lies what is at them.
 */
export function blurred(plane: LightPlane, sigma: number): LightPlane {
  const { width, height } = plane;
  const { reach, part } = meanOf((sigma * sigma) / MEANS);
  const by = 1 / (2 * reach + 1 + 2 * part);
  let from = plane.data;
  const last = width - 1;
  const line = new Float64Array(width + 2 * reach + 3);
  const off = reach + 1;
  for (let turn = 0; turn < MEANS; turn += 1) {
    const to = new Float32Array(from.length);
    for (let y = 0; y < height; y += 1) {
      const row = y * width;
      for (let x = 0; x < width; x += 1) line[x + off] = from[row + x]!;
      line.fill(from[row]!, 0, off);
      line.fill(from[row + last]!, width + off);
      let sum = 0;
      for (let k = 1; k <= 2 * reach + 1; k += 1) sum += line[k]!;
      for (let x = 0; x < width; x += 1) {
        to[row + x] = (sum + part * (line[x]! + line[x + 2 * reach + 2]!)) * by;
        sum += line[x + 2 * reach + 2]! - line[x + 1]!;
      }
    }
    from = to;
  }
  const rowAt = (y: number) => Math.min(height - 1, Math.max(0, y)) * width;
  for (let turn = 0; turn < MEANS; turn += 1) {
    const to = new Float32Array(from.length);
    const sums = new Float64Array(width);
    for (let k = -reach; k <= reach; k += 1) {
      const row = rowAt(k);
      for (let x = 0; x < width; x += 1) sums[x]! += from[row + x]!;
    }
    for (let y = 0; y < height; y += 1) {
      const [row, above] = [y * width, rowAt(y - reach - 1)];
      const [below, leaves] = [rowAt(y + reach + 1), rowAt(y - reach)];
      for (let x = 0; x < width; x += 1) {
        const next = from[below + x]!;
        const sum = sums[x]!;
        to[row + x] = (sum + part * (from[above + x]! + next)) * by;
        sums[x] = sum + next - from[leaves + x]!;
      }
    }
    from = to;
  }
  return { width, height, data: from };
}

/** How the light of two planes rises along a step of so many places, in the mean of both. */
export const meanSlope = (
  one: Float32Array,
  other: Float32Array,
  at: number,
  step: number,
): number =>
  (one[at + step]! - one[at - step]! + other[at + step]! - other[at - step]!) / 4;

/** Every second pixel of a plane, each the mean of four. */
export function halved({ width, height, data }: LightPlane): LightPlane {
  const half = planeOf(Math.max(1, width >> 1), Math.max(1, height >> 1));
  for (let y = 0; y < half.height; y += 1)
    for (let x = 0; x < half.width; x += 1) {
      const x2 = Math.min(width - 1, 2 * x + 1);
      const top = 2 * y * width;
      const below = Math.min(height - 1, 2 * y + 1) * width;
      half.data[y * half.width + x] =
        (data[top + 2 * x]! + data[top + x2]! + data[below + 2 * x]! + data[below + x2]!) /
        4;
    }
  return half;
}

/** The light at a place, between four pixels; beyond the sides what is at them. */
export function lightAt({ width, height, data }: LightPlane, x: number, y: number): number {
  const u = Math.min(width - 1, Math.max(0, x - 0.5));
  const v = Math.min(height - 1, Math.max(0, y - 0.5));
  const left = Math.min(Math.max(0, width - 2), Math.floor(u));
  const top = Math.min(Math.max(0, height - 2), Math.floor(v));
  const right = Math.min(width - 1, left + 1);
  const below = Math.min(height - 1, top + 1);
  const [fx, fy] = [u - left, v - top];
  const a = data[top * width + left]!;
  const b = data[top * width + right]!;
  const c = data[below * width + left]!;
  const d = data[below * width + right]!;
  return a + (b - a) * fx + (c - a) * fy + (a - b - c + d) * fx * fy;
}

/** A plane of another size, each pixel the mean of about what lies under it. */
export function resized(plane: LightPlane, width: number, height: number): LightPlane {
  let from = plane;
  while (from.width >= 2 * width && from.height >= 2 * height) from = halved(from);
  const shrink = Math.max(from.width / width, from.height / height);
  if (shrink > 1.05) from = blurred(from, 0.45 * shrink);
  const out = planeOf(width, height);
  for (let y = 0, at = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, at += 1)
      out.data[at] = lightAt(
        from,
        ((x + 0.5) * from.width) / width,
        ((y + 0.5) * from.height) / height,
      );
  return out;
}

/** Made so small that its longer side has at most so many pixels. */
export function fitted(plane: LightPlane, most: number): LightPlane {
  const by = most / longSide(plane);
  if (by >= 1) return plane;
  const side = (v: number) => Math.max(1, Math.round(v * by));
  return resized(plane, side(plane.width), side(plane.height));
}

/** A plane turned clockwise by so many quarters. */
export function quartered(plane: LightPlane, quarters: number): LightPlane {
  if (quarters === 0) return plane;
  const { width, height, data } = plane;
  const out = planeOf(height, width);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      out.data[x * height + (height - 1 - y)] = data[y * width + x]!;
  return quartered(out, quarters - 1);
}

/** Left and right exchanged. */
export function mirrored({ width, height, data }: LightPlane): LightPlane {
  const out = planeOf(width, height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      out.data[y * width + x] = data[y * width + width - 1 - x]!;
  return out;
}
