import { stringify } from 'csv-stringify/sync';

/** A cell: words, a figure, or nothing. */
export type CsvCell = string | number | null;

/**
 * Rows as CSV (RFC 4180, UTF-8): figures with a point and without groups, days as `YYYY-MM-DD`;
 * words that a table program would take for a formula get an apostrophe before them.
 * @example csvText([['title'], ['=1+1']]) // "title\n'=1+1\n"
 */
export const csvText = (rows: readonly (readonly CsvCell[])[]): string =>
  stringify(
    rows.map((row) => [...row]),
    { escape_formulas: true },
  );
