import type { Grey } from './grey';

/** Half the side of the surround, pixels of the picture at half its size. */
const REACH = 3;
const SIDE = 2 * REACH + 1;
/** The same in pixels of the level: so far from its edge there is no surround. */
export const MARGIN = 2 * REACH;
/** 65536 / SIDE squared, to divide by a shift. */
const SHARE = Math.round(65536 / (SIDE * SIDE));

/**
 * Mean light of the square of 14 pixels around each pair of pixels of a level, taken by running
 * sums from the level at half its size, into `out`; undefined within 3 pixels of its edge.
 */
export function surroundOf({ width, height, data }: Grey, out: Uint8Array): Grey {
  const surround = { width, height, data: out };
  if (width < SIDE || height < SIDE) return surround;
  const columns = new Int32Array(width);
  for (let y = 0; y < SIDE; y += 1)
    for (let x = 0, i = y * width; x < width; x += 1, i += 1) columns[x]! += data[i]!;
  const right = width - REACH;
  for (let y = REACH; ; y += 1) {
    let sum = 0;
    for (let x = 0; x < SIDE - 1; x += 1) sum += columns[x]!;
    const at = y * width;
    for (let x = REACH; x < right; x += 1) {
      sum += columns[x + REACH]!;
      out[at + x] = (sum * SHARE + 32768) >> 16;
      sum -= columns[x - REACH]!;
    }
    if (y + REACH + 1 >= height) return surround;
    const leaves = (y - REACH) * width;
    const comes = (y + REACH + 1) * width;
    for (let x = 0; x < width; x += 1) columns[x]! += data[comes + x]! - data[leaves + x]!;
  }
}
