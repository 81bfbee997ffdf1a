import { demandWithin } from '../demand';
import type { Demand } from '../demand';
import { asNumber } from '../exact';
import { batchCost, leftOfSale } from './terms';
import type { SaleTerms } from './terms';

/** What a batch is expected to leave; minor units, not rounded. */
export interface BatchExpected {
  quantity: number;
  total: number;
  expectedProfit: number;
  /** Standard deviation of the profit. */
  off: number;
  /** What it leaves when demand is low (1 in 10 is lower) and high (1 in 10 is higher). */
  low: number;
  high: number;
  expectedSales: number;
  /** Expected to be wanted, and not there; expected to be left over. */
  expectedShort: number;
  expectedUnsold: number;
}

/** How likely it must be that demand stays within: the low and the high end that are shown. */
export const LOW = 0.1;
export const HIGH = 0.9;

/** The smallest number within which demand stays that likely; the last where it never does. */
export const firstAt = (within: Float64Array, share: number): number => {
  const found = within.findIndex((p) => p >= share - 1e-12);
  return found === -1 ? within.length - 1 : found;
};

/**
 * Every batch, from what is expected of it: of `q` made and D wanted, min(D, q) are sold;
 * E min(D, q) = sum over k < q of P(D > k), E min(D, q)^2 = sum of (2k + 1) P(D > k).
 * `costs`: what each quantity costs. Newsvendor with the batch's own steps in its cost.
 * @param mean what the demand's mean is, for what is expected to be missing
 */
export function expectedOfBatches(
  terms: SaleTerms,
  demand: Demand,
  mean: number,
  costs: readonly { quantity: number; total: number }[],
): BatchExpected[] {
  const most = costs.reduce((top, c) => Math.max(top, c.quantity), 0);
  const within = demandWithin(demand, most);
  const sales = new Float64Array(most + 1);
  const squares = new Float64Array(most + 1);
  for (let k = 0; k < most; k++) {
    const above = 1 - within[k]!;
    sales[k + 1] = sales[k]! + above;
    squares[k + 1] = squares[k]! + (2 * k + 1) * above;
  }
  const left = asNumber(leftOfSale(terms));
  const { unsoldWorth: worth } = terms;
  const [low, high] = [firstAt(within, LOW), firstAt(within, HIGH)];
  return costs.map(({ quantity, total }) => {
    const cost = asNumber(batchCost(terms, quantity, total));
    const profit = (sold: number) => sold * left + (quantity - sold) * worth - cost;
    const sold = sales[quantity]!;
    const ends = [profit(Math.min(low, quantity)), profit(Math.min(high, quantity))];
    return {
      quantity,
      total,
      expectedProfit: profit(sold),
      off: Math.abs(left - worth) * Math.sqrt(Math.max(0, squares[quantity]! - sold ** 2)),
      low: Math.min(...ends),
      high: Math.max(...ends),
      expectedSales: sold,
      expectedShort: Math.max(0, mean - sold),
      expectedUnsold: quantity - sold,
    };
  });
}

/** Smaller than this in minor units is no difference: of batches so alike the smallest is best. */
const ALIKE = 1e-6;

/**
 * The batch that is expected to leave most; of equal ones the smallest. Null without any.
 * @example bestOf([{ quantity: 1, expectedProfit: 5 }, { quantity: 2, expectedProfit: 9 }, { quantity: 3, expectedProfit: 9 }])?.quantity // 2
 */
export function bestOf<B extends { quantity: number; expectedProfit: number }>(
  batches: readonly B[],
): B | null {
  let best: B | null = null;
  for (const b of batches)
    if (!best || b.expectedProfit > best.expectedProfit + ALIKE) best = b;
  return best;
}

/**
 * What it is expected to cost to order half of the best batch, rounded up: what is then left
 * less. Null where half of it cannot be ordered.
 */
export function costOfHalf(
  batches: readonly BatchExpected[],
  best: BatchExpected,
): { quantity: number; loses: number } | null {
  const half = batches.find((b) => b.quantity === Math.ceil(best.quantity / 2));
  return half
    ? { quantity: half.quantity, loses: best.expectedProfit - half.expectedProfit }
    : null;
}
