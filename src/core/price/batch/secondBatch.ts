import { demandChances } from '../demand';
import type { Demand } from '../demand';
import { asNumber } from '../exact';
import { firstAt, HIGH, LOW } from './bestBatch';
import type { BatchExpected } from './bestBatch';
import { batchCost, leftOfSale } from './terms';
import type { SaleTerms } from './terms';

/** Nobody wants more than this; what is beyond counts as this many. */
const MOST = 10_000;

/** Chances of 0, 1, … being wanted, as far as there is anything; what is beyond lies in the last. */
function chancesOf(demand: Demand, least: number): Float64Array {
  let upTo = Math.max(64, least);
  for (;;) {
    const found = demandChances(demand, upTo);
    const within = found.reduce((sum, p) => sum + p, 0);
    if (within > 1 - 1e-9 || upTo >= MOST) {
      found[upTo]! += Math.max(0, 1 - within);
      return found;
    }
    upTo = Math.min(MOST, upTo * 2);
  }
}

/**
 * What a second batch brings when so many more are wanted than were made, 0 to `most`: the best of
 * printing some of them, or none: 0 where its set-up is never earned. Minor units.
 * `total`: what a batch costs; null where so few are not printed.
 */
export function gainsOfSecond(
  terms: SaleTerms,
  total: (quantity: number) => number | null,
  most: number,
): Float64Array {
  const each = asNumber(leftOfSale(terms)) - terms.perPrint;
  const gains = new Float64Array(most + 1);
  for (let m = 1; m <= most; m++) {
    const cost = total(m);
    const gain = cost === null ? 0 : m * each - cost;
    gains[m] = Math.max(gains[m - 1]!, gain);
  }
  return gains;
}

/**
 * Every batch where what is missing may be printed again in a second one, once it is wanted:
 * E[min(D, q) left + (q - D)+ worth + gain((D - q)+)] - cost(q). `gains`: of a second batch
 * (`gainsOfSecond`); `room`: prints that can be made in all, null: any.
 */
export function expectedWithSecond(
  terms: SaleTerms,
  demand: Demand,
  mean: number,
  costs: readonly { quantity: number; total: number }[],
  { gains, room }: { gains: Float64Array; room: number | null },
): BatchExpected[] {
  const left = asNumber(leftOfSale(terms));
  const most = costs.reduce((top, c) => Math.max(top, c.quantity), 0);
  const chances = chancesOf(demand, most);
  let sum = 0;
  const within = chances.map((p) => (sum = Math.min(1, sum + p)));
  const [low, high] = [firstAt(within, LOW), firstAt(within, HIGH)];
  return costs.map(({ quantity, total }) => {
    const cost = asNumber(batchCost(terms, quantity, total));
    const can = Math.max(0, Math.min(gains.length - 1, (room ?? Infinity) - quantity));
    const profit = (wanted: number) => {
      const sold = Math.min(wanted, quantity);
      const short = Math.min(can, Math.max(0, wanted - quantity));
      return sold * left + (quantity - sold) * terms.unsoldWorth + gains[short]! - cost;
    };
    let [expected, squares, sales] = [0, 0, 0];
    chances.forEach((p, wanted) => {
      const leaves = profit(wanted);
      expected += p * leaves;
      squares += p * leaves * leaves;
      sales += p * Math.min(wanted, quantity);
    });
    const ends = [profit(low), profit(high)];
    return {
      quantity,
      total,
      expectedProfit: expected,
      off: Math.sqrt(Math.max(0, squares - expected ** 2)),
      low: Math.min(...ends),
      high: Math.max(...ends),
      expectedSales: sales,
      expectedShort: Math.max(0, mean - sales),
      expectedUnsold: quantity - sales,
    };
  });
}

/**
 * What a print that is left over is worth once it lay for months: less what storing it cost, and
 * nothing of it where it was damaged.
 * @example keptWorth({ worth: 1000, damaged: 0.1, storage: 20, months: 12 }) // 660
 */
export const keptWorth = (of: {
  worth: number;
  /** Share of those left over that is damaged, 0..1. */
  damaged: number;
  /** Of one print, a month. */
  storage: number;
  months: number;
}): number => Math.round(of.worth * (1 - of.damaged) - of.storage * of.months);
