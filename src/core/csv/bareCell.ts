/** What a table program would take as the start of a formula, and a CSV file of ours guards. */
const STARTS_FORMULA = /^[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/;

/**
 * The words of a cell as they were before they were guarded against being taken for a formula.
 * @example bareCell("'=1+1") // '=1+1'
 */
export const bareCell = (cell: string): string =>
  cell.startsWith("'") && STARTS_FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
