/** How a patch is divided: bands of rows, one for each thread, and columns, those in sight first. */
import type { Box } from '@/core/image';

/** The print by the recipe, right of the line; what it is held against, left of it. */
export type Side = 'after' | 'before';

/** Pixels across a column. */
const COLUMN = 250;

const wide = ({ left, right }: Box) => Math.max(1, Math.round((right - left) / COLUMN));

/** The rows of a patch, divided for so many threads. */
export function bandsOf({ left, right, top, bottom }: Box, threads: number): Box[] {
  const rows = Math.ceil((bottom - top) / threads);
  return Array.from({ length: threads }, (_, i) => ({
    left,
    right,
    top: Math.min(bottom, top + i * rows),
    bottom: Math.min(bottom, top + (i + 1) * rows),
  })).filter((band) => band.bottom > band.top);
}

/** The columns of a band, from left to right. */
export function columnsOf(band: Box): Box[] {
  const count = wide(band);
  const edge = (i: number) =>
    band.left + Math.round((i * (band.right - band.left)) / count);
  return Array.from({ length: count }, (_, i) => ({
    ...band,
    left: edge(i),
    right: edge(i + 1),
  }));
}

/** What each column of a side was made by. */
export type Drawn = Record<Side, string[]>;

/** Columns of a side that are to be made, and whether they are in sight. */
export interface Columns {
  side: Side;
  seen: boolean;
  columns: number[];
}

/** In which order the columns of a patch are made, with the line at `split` of its width (0..1). */
export function seenFirst(patch: Box, split: number): Columns[] {
  const { left: from, right: to } = patch;
  // At an end of the patch too, something of both sides counts as seen.
  const line = Math.min(to - 1, Math.max(from + 1, from + split * (to - from)));
  const columns = columnsOf(patch);
  const which = (side: Side, seen: boolean) => ({
    side,
    seen,
    columns: columns.flatMap(({ left, right }, i) =>
      (side === 'after' ? right > line : left < line) === seen ? [i] : [],
    ),
  });
  return [
    which('after', true),
    which('before', true),
    which('after', false),
    which('before', false),
  ];
}

/**
 * What is still to be made, the most wanted first: of what is in sight all at once, of the rest
 * one column, so that a number that moves meanwhile waits for no more. Null: nothing.
 */
export function nextColumns(
  patch: Box,
  split: number,
  wanted: Record<Side, string>,
  drawn: Drawn,
): Columns | null {
  for (const part of seenFirst(patch, split)) {
    const { side, seen } = part;
    const columns = part.columns.filter((c) => drawn[side][c] !== wanted[side]);
    if (columns.length > 0)
      return { side, seen, columns: seen ? columns : columns.slice(0, 1) };
  }
  return null;
}
