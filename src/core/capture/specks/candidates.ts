import { smoothAt } from './grey';
import type { Grey } from './grey';
import { MARGIN } from './surround';

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
/** Of a peak's response, so much at least is seen in the mean of two by two pixels. */
const SEEN_HALF = 0.7;

export interface Found {
  candidates: Candidate[];
  /** Cells with too much in them to speak of specks: by cell, row by row. */
  crowded: Uint8Array;
  /** Median size of the response in each cell, of 255. */
  texture: Float32Array;
  across: number;
  down: number;
}

/** A level, the same at half its size, and the mean of what surrounds each pixel of that. */
export interface Levels {
  level: Grey;
  half: Grey;
  surround: Grey;
}

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Median of the responses' size in a cell, to one level: of every third pixel both ways. */
function medianIn(level: Grey, surround: Grey, box: Box, bins: Uint32Array): number {
  bins.fill(0);
  let n = 0;
  for (let y = box.top; y < box.bottom; y += 3)
    for (let x = box.left; x < box.right; x += 3) {
      const ground = surround.data[(y >> 1) * surround.width + (x >> 1)]!;
      const v = abs(smoothAt(level, y * level.width + x) - ground);
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
 * Peaks of the response (the smoothed level less its surround) that stand out of their cell:
 * higher than their eight neighbours and than a multiple of the cell's median response.
 */
export function findCandidates(levels: Levels): Found {
  const { level, surround } = levels;
  const across = ceil(level.width / CELL);
  const down = ceil(level.height / CELL);
  const crowded = new Uint8Array(across * down);
  const texture = new Float32Array(across * down);
  const bins = new Uint32Array(BINS);
  const candidates: Candidate[] = [];
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      const box = {
        left: max(MARGIN, column * CELL),
        top: max(MARGIN, row * CELL),
        right: min(2 * surround.width - MARGIN, (column + 1) * CELL),
        bottom: min(2 * surround.height - MARGIN, (row + 1) * CELL),
      };
      if (box.right <= box.left || box.bottom <= box.top) continue;
      const median = medianIn(level, surround, box, bins);
      texture[row * across + column] = median;
      const from = candidates.length;
      findPeaks(levels, box, max(LEAST, ABOVE * median), candidates);
      if (candidates.length - from > MOST_PER_CELL) {
        candidates.length = from;
        crowded[row * across + column] = 1;
      }
    }
  return { candidates, crowded, texture, across, down };
}

/**
 * Adds the peaks of a cell that are at least so strong. The mean of two by two pixels around
 * a peak stands out nearly as much as the peak of the smoothed light: others are passed over.
 */
function findPeaks(
  { level, half, surround }: Levels,
  box: Box,
  least: number,
  candidates: Candidate[],
): void {
  const hint = least * SEEN_HALF;
  for (let y = box.top; y < box.bottom; y += 2) {
    const from = (y >> 1) * half.width;
    for (let i = from + (box.left >> 1); i < from + (box.right >> 1); i += 1) {
      const away = half.data[i]! - surround.data[i]!;
      if (away < hint && away > -hint) continue;
      const x = 2 * (i - from);
      for (let k = 0; k < 4; k += 1) {
        const at = (y + (k >> 1)) * level.width + x + (k & 1);
        const response = smoothAt(level, at) - surround.data[i]!;
        if (abs(response) >= least && isPeak(level, at, response < 0 ? -1 : 1))
          candidates.push({ x: x + (k & 1), y: y + (k >> 1), response });
      }
    }
  }
}

/** Whether smoothed light is further out than at its eight neighbours; of equal ones the first counts. */
function isPeak(level: Grey, i: number, sign: number): boolean {
  const own = sign * smoothAt(level, i);
  for (let dy = -1; dy <= 1; dy += 1)
    for (let dx = -1; dx <= 1; dx += 1) {
      const other = sign * smoothAt(level, i + dy * level.width + dx);
      const before = dy < 0 || (dy === 0 && dx < 0);
      if (before ? other >= own : other > own) return false;
    }
  return true;
}
