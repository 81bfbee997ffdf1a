export interface Movement {
  /** ISO 8601. */
  at: string;
  reason: string;
  /** Received positive, used negative. */
  pieces: number;
}

/**
 * Movements of one day for one reason, that follow each other, as one line.
 * @example foldMovements([{ at: '2026-11-02', reason: 'proof', pieces: -1 }, { at: '2026-11-02', reason: 'proof', pieces: -2 }]) // [{ at: '2026-11-02', reason: 'proof', pieces: -3 }]
 */
export function foldMovements(movements: readonly Movement[]): Movement[] {
  const lines: Movement[] = [];
  for (const { at, reason, pieces } of movements) {
    const last = lines.at(-1);
    if (last?.reason === reason && last.at.slice(0, 10) === at.slice(0, 10))
      lines[lines.length - 1] = { ...last, pieces: last.pieces + pieces };
    else lines.push({ at, reason, pieces });
  }
  return lines;
}

export type StockLevel = 'enough' | 'low' | 'out';

/**
 * Sheets at hand from all movements (received positive, used negative), and what that means.
 * @example stockLevel([25, -18], 10) // { sheets: 7, level: 'low' }
 */
export function stockLevel(
  movements: readonly number[],
  reorderPoint: number,
): { sheets: number; level: StockLevel } {
  const sheets = movements.reduce((total, n) => total + n, 0);
  return { sheets, level: sheets <= 0 ? 'out' : sheets <= reorderPoint ? 'low' : 'enough' };
}
