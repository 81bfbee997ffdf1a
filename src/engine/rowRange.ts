/** Rows `from` to `to - 1`. */
export interface RowRange {
  from: number;
  to: number;
}
