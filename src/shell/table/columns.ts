import type { ReactNode } from 'react';

export interface Column<T> {
  key: string;
  head: string;
  /** What a column without a head holds, for who hears the table. */
  said?: string;
  /** What the column is sorted by, and shown when `cell` is absent. */
  value: (row: T) => string | number;
  cell?: (row: T) => ReactNode;
  figure?: boolean;
  /** Sorted by a figure, though words are shown. */
  byFigure?: boolean;
  /** Words that stay on one line: sizes, days. */
  short?: boolean;
  width?: number | string;
  /** The list cannot be sorted by it. */
  unsorted?: boolean;
  /** Columns by which a line is known; the first with a head, where none is named. */
  names?: boolean;
}

/** Sorted by a column, down or up; as they come where none is named. */
export function sortedBy<T>(
  rows: readonly T[],
  column: Column<T> | undefined,
  down: boolean,
): T[] {
  if (!column) return [...rows];
  const collator = new Intl.Collator(undefined, { numeric: true });
  const order = (a: T, b: T) => {
    const [x, y] = [column.value(a), column.value(b)];
    return typeof x === 'number' && typeof y === 'number'
      ? x - y
      : collator.compare(String(x), String(y));
  };
  return [...rows].sort((a, b) => (down ? order(b, a) : order(a, b)));
}
