import type { CutStock } from '@/core/cut';
import { lotsOf, stockOfLot } from '@/data';
import type { Lot, Reading } from '@/data';

/** A lot as there is to cut from; null where less than a sheet of it, or a millimetre, is left. */
export function stockOf(lot: Lot): CutStock | null {
  const id = stockOfLot(lot.id);
  if (lot.kind === 'roll') {
    // A little less than what is left by rounding: no plan may take more than there is.
    const length = Math.floor(lot.left * 10) / 10;
    const price = Math.round((lot.price * length) / lot.height);
    return length < 1 ? null : { id, kind: 'roll', width: lot.width, length, price };
  }
  const count = Math.floor(lot.left + 1e-6);
  const { width, height, price, leftOver } = lot;
  return count < 1 ? null : { id, kind: 'sheet', width, height, count, price, leftOver };
}

/** What there is of a paper to cut from: of the lots that are named, or of all. */
export async function stockToCut(
  db: Reading,
  paperId: number,
  lots: readonly number[] | null,
): Promise<CutStock[]> {
  const all = await lotsOf(db, paperId);
  return all.flatMap((lot) =>
    lots === null || lots.includes(lot.id) ? (stockOf(lot) ?? []) : [],
  );
}
