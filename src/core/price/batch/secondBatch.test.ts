import fc from 'fast-check';
import { batchPaid, inOrder } from '../routes';
import { demandChances, meanDemand } from '../demand';
import type { Demand } from '../demand';
import { expectedOfBatches, expectedWithSecond, gainsOfSecond, keptWorth } from '.';

const LAB = inOrder({
  name: 'lab',
  ...{ setUp: 1500, leastQuantity: 1 },
  breaks: [
    { from: 1, each: 2400 },
    { from: 10, each: 1700 },
  ],
  postage: [{ upTo: null, cost: 990 }],
});
const total = (q: number) => batchPaid(LAB, q)?.total ?? null;
const terms = (over = {}) => ({
  ...{ price: 8000, share: 0.095, fixed: 45, perPrint: 640, once: 4500, unsoldWorth: 0 },
  ...over,
});
const MOST = 40;
const costs = Array.from({ length: MOST }, (_, i) => ({
  quantity: i + 1,
  total: total(i + 1)!,
}));
const observed = (counts: number[]): Demand => ({ kind: 'observed', counts });

it('equals going through every demand and every second batch', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 12 }),
      fc.integer({ min: 1000, max: 9000 }),
      fc.integer({ min: -500, max: 900 }),
      fc.option(fc.integer({ min: 1, max: 80 })),
      (counts, price, unsoldWorth, room) => {
        const of = terms({ price, unsoldWorth });
        const found = expectedWithSecond(of, observed(counts), 0, costs, {
          gains: gainsOfSecond(of, total, 60),
          room,
        });
        const left = price * (1 - 0.095) - 45;
        for (const { quantity, expectedProfit } of found) {
          let sum = 0;
          for (const wanted of counts) {
            const sold = Math.min(wanted, quantity);
            let best = 0;
            for (
              let m = 1;
              m <= wanted - quantity && (room === null || m + quantity <= room);
              m++
            )
              best = Math.max(best, m * (left - 640) - total(m)!);
            sum += sold * left + (quantity - sold) * unsoldWorth + best;
          }
          const cost = total(quantity)! + 640 * quantity + 4500;
          expect(expectedProfit).toBeCloseTo(sum / counts.length - cost, 4);
        }
      },
    ),
    { numRuns: 40 },
  );
});

it('where nothing is printed again it is what a batch alone leaves', () => {
  const demand: Demand = { kind: 'negativeBinomial', mean: 14, dispersion: 3 };
  const none = { gains: new Float64Array(1), room: null };
  const alone = expectedOfBatches(terms(), demand, 14, costs);
  const again = expectedWithSecond(terms(), demand, 14, costs, none);
  again.forEach((b, i) => {
    expect(b.expectedProfit).toBeCloseTo(alone[i]!.expectedProfit, 3);
    expect(b.off).toBeCloseTo(alone[i]!.off, 2);
    expect([b.low, b.high]).toEqual([alone[i]!.low, alone[i]!.high]);
  });
});

it('that it may be printed again makes the best batch no larger, and leaves no less', () => {
  const demand: Demand = { kind: 'poisson', mean: 14 };
  const best = (found: { quantity: number; expectedProfit: number }[]) =>
    found.reduce((a, b) => (b.expectedProfit > a.expectedProfit ? b : a));
  const alone = best(expectedOfBatches(terms(), demand, 14, costs));
  const gains = gainsOfSecond(terms(), total, 200);
  const second = best(
    expectedWithSecond(terms(), demand, 14, costs, { gains, room: null }),
  );
  expect(second.quantity).toBeLessThanOrEqual(alone.quantity);
  expect(second.expectedProfit).toBeGreaterThanOrEqual(alone.expectedProfit);
  expect(demandChances(demand, 3)).toHaveLength(4);
  expect(meanDemand(demand)).toBe(14);
});

it.each([
  [{ worth: 1000, damaged: 0.1, storage: 20, months: 12 }, 660],
  [{ worth: 0, damaged: 0, storage: 50, months: 6 }, -300],
  [{ worth: 1000, damaged: 1, storage: 0, months: 6 }, 0],
])('%j is worth %i', (of, worth) => expect(keptWorth(of)).toBe(worth));
