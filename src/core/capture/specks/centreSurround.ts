import type { Grey } from './grey';

/** Half the side of the surround, pixels of its level. */
export const SURROUND = 6;
const SIDE = 2 * SURROUND + 1;
/** 65536 / SIDE squared, to divide by a shift. */
const SHARE = Math.round(65536 / (SIDE * SIDE));

/**
 * Each pixel minus the mean of the square of 13 around it, both from the same (smoothed)
 * picture, by running sums; within 6 pixels of the edge it stays zero.
 */
export function centreSurround({ width, height, data }: Grey): Int16Array {
  const out = new Int16Array(width * height);
  if (width < SIDE || height < SIDE) return out;
  const columns = new Int32Array(width);
  for (let y = 0; y < SIDE; y += 1)
    for (let x = 0, i = y * width; x < width; x += 1, i += 1) columns[x]! += data[i]!;
  for (let y = SURROUND; ; y += 1) {
    let sum = 0;
    for (let x = 0; x < SIDE; x += 1) sum += columns[x]!;
    const at = y * width;
    for (let x = SURROUND; ; x += 1) {
      out[at + x] = data[at + x]! - ((sum * SHARE + 32768) >> 16);
      if (x + SURROUND + 1 >= width) break;
      sum += columns[x + SURROUND + 1]! - columns[x - SURROUND]!;
    }
    if (y + SURROUND + 1 >= height) break;
    const leaves = (y - SURROUND) * width;
    const comes = (y + SURROUND + 1) * width;
    for (let x = 0; x < width; x += 1) columns[x]! += data[comes + x]! - data[leaves + x]!;
  }
  return out;
}
