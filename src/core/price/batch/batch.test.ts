import fc from 'fast-check';
import {
  batchProfit,
  bestOf,
  costOfHalf,
  expectedOfBatches,
  soldToBreakEven,
  testFirst,
} from '.';
import type { SaleTerms } from '.';
import { demandChances, demandWithin, meanDemand } from '../demand';
import type { Demand } from '../demand';
import { asNumber, signOf } from '../exact';

const terms: SaleTerms = {
  price: 8000,
  share: 0.095,
  fixed: 45,
  perPrint: 640,
  once: 4500,
  unsoldWorth: 0,
};

const someTerms: fc.Arbitrary<SaleTerms> = fc.record({
  price: fc.integer({ min: 0, max: 20_000 }),
  share: fc.integer({ min: 0, max: 999 }).map((n) => n / 1000),
  fixed: fc.integer({ min: 0, max: 900 }),
  perPrint: fc.integer({ min: 0, max: 2000 }),
  once: fc.integer({ min: 0, max: 30_000 }),
  unsoldWorth: fc.integer({ min: -500, max: 6000 }),
});

const someDemand: fc.Arbitrary<Demand> = fc.oneof(
  fc.record({
    kind: fc.constant('poisson' as const),
    mean: fc.double({ min: 0, max: 40, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('negativeBinomial' as const),
    mean: fc.double({ min: 0, max: 40, noNaN: true }),
    dispersion: fc.double({ min: 0.1, max: 50, noNaN: true }),
  }),
  fc
    .tuple(fc.nat(20), fc.nat(20), fc.nat(20))
    .map((t) => t.sort((a, b) => a - b))
    .map(([low, likely, high]) => ({ kind: 'threePoint' as const, low, likely, high })),
  fc.record({
    kind: fc.constant('observed' as const),
    counts: fc.array(fc.nat(60), { minLength: 1, maxLength: 12 }),
  }),
);

it('the fewest sales that pay a batch are those that trying each number finds', () => {
  fc.assert(
    fc.property(
      someTerms,
      fc.integer({ min: 1, max: 60 }),
      fc.nat(100_000),
      (t, q, total) => {
        let byHand: number | null = null;
        for (let n = 0; n <= q && byHand === null; n++)
          if (signOf(batchProfit(t, { quantity: q, total }, n)) >= 0) byHand = n;
        expect(soldToBreakEven(t, { quantity: q, total })).toBe(byHand);
      },
    ),
  );
});

it('shares are decimals: what is just paid is paid', () => {
  // 3 x (1000 - 290.1) = 2129.7: of 21297 tenths.
  const t = { ...terms, price: 1000, share: 0.2901, fixed: 0, perPrint: 0, once: 0 };
  expect(soldToBreakEven(t, { quantity: 30, total: 7099 })).toBe(10);
  expect(soldToBreakEven(t, { quantity: 30, total: 7100 })).toBe(11);
});

it('what a batch is expected to leave is the sum over all demands', () => {
  fc.assert(
    fc.property(someTerms, someDemand, fc.nat(3000), (t, demand, each) => {
      const costs = [1, 2, 7, 40].map((quantity) => ({ quantity, total: each * quantity }));
      const far = 2000;
      const chances = demandChances(demand, far);
      for (const b of expectedOfBatches(t, demand, meanDemand(demand), costs)) {
        let [sum, square] = [0, 0];
        chances.forEach((p, wanted) => {
          const profit = asNumber(batchProfit(t, b, Math.min(wanted, b.quantity)));
          sum += p * profit;
          square += p * profit ** 2;
        });
        expect(b.expectedProfit).toBeCloseTo(sum, 3);
        expect(b.off ** 2 / 1e9).toBeCloseTo(Math.max(0, square - sum ** 2) / 1e9, 3);
        expect(b.expectedShort + b.expectedSales).toBeCloseTo(meanDemand(demand), 5);
        expect(b.low).toBeLessThanOrEqual(b.high);
      }
    }),
    { numRuns: 60 },
  );
});

it('chances sum to 1 and have the mean that is said', () => {
  fc.assert(
    fc.property(someDemand, (demand) => {
      const chances = demandChances(demand, 3000);
      expect(chances.reduce((a, p) => a + p, 0)).toBeCloseTo(1, 9);
      expect(chances.reduce((a, p, k) => a + p * k, 0)).toBeCloseTo(meanDemand(demand), 6);
    }),
    { numRuns: 60 },
  );
});

it.each([
  [{ kind: 'poisson', mean: 14 } as const, 14, 0.10599],
  [{ kind: 'poisson', mean: 5000 } as const, 5000, 0.0056418],
  [{ kind: 'negativeBinomial', mean: 14, dispersion: 3 } as const, 10, 0.0520418],
  [{ kind: 'threePoint', low: 5, likely: 5, high: 5 } as const, 5, 1],
  [{ kind: 'threePoint', low: 0, likely: 1, high: 2 } as const, 1, 0.555556],
  [{ kind: 'observed', counts: [3, 4, 4, 0] } as const, 4, 0.5],
])('%j: the chance of one number is as tables have it', (demand, k, chance) => {
  expect(demandChances(demand, k)[k]).toBeCloseTo(chance, 5);
});

it('the best batch is the newsvendor’s where every print costs the same', () => {
  // The critical share: what one too few loses against one too many.
  const t = { ...terms, once: 0 };
  const demand: Demand = { kind: 'negativeBinomial', mean: 30, dispersion: 4 };
  const costs = Array.from({ length: 150 }, (_, i) => ({
    quantity: i + 1,
    total: 1350 * (i + 1),
  }));
  const best = bestOf(expectedOfBatches(t, demand, 30, costs))!;
  const left = 8000 * (1 - 0.095) - 45;
  const critical = (left - 1350 - 640) / left;
  const within = demandWithin(demand, 150);
  expect(best.quantity).toBe(within.findIndex((p) => p >= critical));
  const half = costOfHalf(expectedOfBatches(t, demand, 30, costs), best)!;
  expect(half.quantity).toBe(Math.ceil(best.quantity / 2));
  expect(half.loses).toBeGreaterThan(0);
});

it('of equal batches the smallest, of none nothing', () => {
  expect(bestOf([])).toBeNull();
  expect(
    bestOf([
      { quantity: 3, expectedProfit: -4 },
      { quantity: 4, expectedProfit: -4 },
    ])!.quantity,
  ).toBe(3);
});

it('a test print first pays where a fault is likely enough', () => {
  const total = (q: number) => (q < 1 ? null : 1500 + 1000 * q);
  const at = (fault: number) => testFirst(total, 10, fault)!;
  const { paysFrom } = at(0);
  expect(paysFrom).toBeCloseTo(1500 / 9000, 9);
  expect(at(paysFrom! + 0.01).withTest).toBeLessThan(at(paysFrom! + 0.01).atOnce);
  expect(at(paysFrom! - 0.01).withTest).toBeGreaterThan(at(paysFrom! - 0.01).atOnce);
  expect(testFirst(total, 1, 0.5)!.paysFrom).toBeNull();
  expect(testFirst((q) => (q < 5 ? null : q), 10, 0.5)).toBeNull();
});
