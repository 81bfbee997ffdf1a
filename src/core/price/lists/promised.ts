import type { PriceListValues, Wanted } from './priceList';
import { routeOf } from './priceList';

/** So many prints of a size on a paper. */
export interface Batch extends Wanted {
  quantity: number;
}

/**
 * What a list asks for several sizes that are ordered together: each at the break of its own
 * quantity, set-up and proof once, the least sum over all prints, postage once for all of them;
 * null where the list has no price for one of them, or prints no so few.
 * @example of 3 of one size and 2 of another: postage is that of 5
 */
export function promisedFor(
  values: PriceListValues,
  batches: readonly Batch[],
): number | null {
  const things = new Map<string, Batch>();
  for (const b of batches) {
    const edges = [b.width, b.height].sort((x, y) => x - y).map((e) => e.toFixed(1));
    const key = `${edges.join('x')} ${b.paper}`;
    const before = things.get(key);
    things.set(key, { ...b, quantity: b.quantity + (before?.quantity ?? 0) });
  }
  const all = [...things.values()].reduce((sum, b) => sum + b.quantity, 0);
  if (all < Math.max(1, values.leastQuantity)) return null;
  let prints = 0;
  let asked = null;
  for (const { quantity, ...wanted } of things.values()) {
    asked = routeOf('', values, wanted);
    const each = asked?.breaks.findLast((b) => b.from <= quantity)?.each;
    if (each === undefined) return null;
    prints += each * quantity;
  }
  if (!asked) return null;
  prints = Math.max(prints, asked.leastPaid ?? 0);
  const { freePostageFrom: free = null, setUp, postage } = asked;
  const step = postage.find((p) => p.upTo === null || all <= p.upTo);
  if (!step && postage.length > 0) return null;
  return setUp + prints + (free !== null && prints >= free ? 0 : (step?.cost ?? 0));
}

/** What came of something that was ordered, beside what was promised; null: not promised, or not in that currency. */
export interface Came {
  quantity: number;
  faulty: number;
  cost: number;
  promisedCost: number | null;
  /** From when it was handed over until it was here. */
  days: number;
  promisedDays: number | null;
}

/** What came of all that was ordered of somebody. */
export interface RouteRecord {
  times: number;
  quantity: number;
  faulty: number;
  /** Paid over promised, 0: as promised; null where nothing was promised. */
  dearer: number | null;
  /** Days later than promised on average, negative: earlier; null where none were promised. */
  later: number | null;
}

/**
 * What came of all that was ordered of somebody, in one figure each; null where nothing came.
 * @example recordOf([{ quantity: 10, faulty: 1, cost: 20000, promisedCost: 19490, days: 8, promisedDays: 6 }]) // { times: 1, quantity: 10, faulty: 1, later: 2 }
 */
export function recordOf(came: readonly Came[]): RouteRecord | null {
  if (came.length === 0) return null;
  const sum = (of: readonly number[]) => of.reduce((a, b) => a + b, 0);
  const costs = came.filter((c) => c.promisedCost !== null && c.promisedCost > 0);
  const promised = sum(costs.map((c) => c.promisedCost!));
  const timed = came.filter((c) => c.promisedDays !== null);
  return {
    times: came.length,
    quantity: sum(came.map((c) => c.quantity)),
    faulty: sum(came.map((c) => c.faulty)),
    dearer: promised === 0 ? null : sum(costs.map((c) => c.cost)) / promised - 1,
    later:
      timed.length === 0
        ? null
        : sum(timed.map((c) => c.days - c.promisedDays!)) / timed.length,
  };
}
