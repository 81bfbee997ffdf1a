import { SURROUND } from './centreSurround';

const { abs, ceil, max, min } = Math;

/** A place that stands out at one level; pixels of that level. */
export interface Candidate {
  x: number;
  y: number;
  response: number;
}

/** Side of the cells over which the ground is judged, pixels of the level. */
export const CELL = 64;
const BINS = 64;
/** Never look at less than this, of 255. */
const LEAST = 3;
/** Times the median response of its cell: what stands out of noise 5 sigma strong. */
const ABOVE = 7;
/** More that stands out in one cell than this, and the cell is texture. */
const MOST_PER_CELL = 24;

export interface Found {
  candidates: Candidate[];
  /** Cells with too much in them to speak of specks: by cell, row by row. */
  crowded: Uint8Array;
  /** Median size of the response in each cell, of 255. */
  texture: Float32Array;
  across: number;
  down: number;
}

/** Median of the responses' size in a cell, to one level. */
function medianIn(
  response: Int16Array,
  width: number,
  box: { left: number; top: number; right: number; bottom: number },
): number {
  const bins = new Uint32Array(BINS);
  let n = 0;
  for (let y = box.top; y < box.bottom; y += 2)
    for (let x = box.left, i = y * width + x; x < box.right; x += 2, i += 2) {
      const v = abs(response[i]!);
      bins[v < BINS ? v : BINS - 1]! += 1;
      n += 1;
    }
  let half = n / 2;
  for (let b = 0; b < BINS; b += 1) {
    if (half <= bins[b]!) return b + half / max(1, bins[b]!) - 0.5;
    half -= bins[b]!;
  }
  return BINS;
}

/**
 * Peaks of the centre-surround response that stand out of their cell: higher than their
 * eight neighbours and than a multiple of the cell's median response.
 */
export function findCandidates(response: Int16Array, width: number, height: number): Found {
  const across = ceil(width / CELL);
  const down = ceil(height / CELL);
  const crowded = new Uint8Array(across * down);
  const texture = new Float32Array(across * down);
  const candidates: Candidate[] = [];
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      const box = {
        left: max(SURROUND, column * CELL),
        top: max(SURROUND, row * CELL),
        right: min(width - SURROUND, (column + 1) * CELL),
        bottom: min(height - SURROUND, (row + 1) * CELL),
      };
      if (box.right <= box.left || box.bottom <= box.top) continue;
      const median = medianIn(response, width, box);
      texture[row * across + column] = median;
      const least = max(LEAST, ABOVE * median);
      const from = candidates.length;
      for (let y = box.top; y < box.bottom; y += 1)
        for (let x = box.left, i = y * width + x; x < box.right; x += 1, i += 1) {
          const v = response[i]!;
          if (v < least && v > -least) continue;
          if (isPeak(response, width, i)) candidates.push({ x, y, response: v });
        }
      if (candidates.length - from > MOST_PER_CELL) {
        candidates.length = from;
        crowded[row * across + column] = 1;
      }
    }
  return { candidates, crowded, texture, across, down };
}

/** Whether a response is larger than its eight neighbours'; of equal ones the first counts. */
function isPeak(response: Int16Array, width: number, i: number): boolean {
  const sign = response[i]! < 0 ? -1 : 1;
  const v = sign * response[i]!;
  for (let dy = -1; dy <= 1; dy += 1)
    for (let dx = -1; dx <= 1; dx += 1) {
      const other = sign * response[i + dy * width + dx]!;
      const before = dy < 0 || (dy === 0 && dx < 0);
      if (before ? other >= v : other > v) return false;
    }
  return true;
}
