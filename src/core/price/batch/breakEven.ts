import { exactly, leastWhole, multiply, signOf, subtract } from '../exact';
import { batchCost, leftOfSale } from './terms';
import type { SaleTerms } from './terms';

/**
 * The fewest sales at which a batch is paid, what is left of it at its worth; null where even
 * all of them do not pay it. Each sale adds what it leaves less what the print was worth unsold.
 * @example soldToBreakEven({ price: 8000, share: 0.095, fixed: 45, perPrint: 640, once: 4500, unsoldWorth: 0 }, { quantity: 10, total: 19490 }) // 5
 */
export function soldToBreakEven(
  terms: SaleTerms,
  { quantity, total }: { quantity: number; total: number },
): number | null {
  const worth = multiply(exactly(terms.unsoldWorth), exactly(quantity));
  const missing = subtract(batchCost(terms, quantity, total), worth);
  if (signOf(missing) <= 0) return 0;
  const gain = subtract(leftOfSale(terms), exactly(terms.unsoldWorth));
  if (signOf(gain) <= 0) return null;
  const sold = leastWhole(missing, gain);
  return sold <= quantity ? sold : null;
}
