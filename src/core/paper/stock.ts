export type StockLevel = 'enough' | 'low' | 'out';

/** Sheets at hand from all movements (received positive, used negative), and what that means. */
export function stockLevel(
  movements: readonly number[],
  reorderPoint: number,
): { sheets: number; level: StockLevel } {
  const sheets = movements.reduce((total, n) => total + n, 0);
  return { sheets, level: sheets <= 0 ? 'out' : sheets <= reorderPoint ? 'low' : 'enough' };
}
