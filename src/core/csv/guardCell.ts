/** What a table program would take as the start of a formula. */
const STARTS_FORMULA = /^[=+\-@\t\r]/;

/**
 * A cell of a CSV file as it may be opened by a table program without running anything:
 * words that would start a formula get an apostrophe before them; numbers stay numbers.
 * @example guardCell('=1+1') // "'=1+1"
 */
export const guardCell = (value: string | number | null): string => {
  if (value === null) return '';
  if (typeof value === 'number') return String(value);
  return STARTS_FORMULA.test(value) ? `'${value}` : value;
};

/**
 * The words as they were before `guardCell`.
 * @example bareCell("'=1+1") // '=1+1'
 */
export const bareCell = (cell: string): string =>
  cell.startsWith("'") && STARTS_FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
