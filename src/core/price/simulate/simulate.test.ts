import { expectedOfBatches } from '../batch';
import { meanDemand } from '../demand';
import type { Demand } from '../demand';
import { simulate, usualPolicies } from '.';
import type { Policy, SimulatedPolicy, SimulationJob } from '.';

const terms = {
  price: 8000,
  share: 0.095,
  fixed: 45,
  perPrint: 640,
  once: 4500,
  unsoldWorth: 300,
};
const batch = (q: number) => 1500 + 1700 * q;
const job = (over: Partial<SimulationJob>): SimulationJob => ({
  terms,
  demand: { kind: 'poisson', mean: 2.4 },
  batch,
  single: 3900,
  policies: usualPolicies({ perMonth: 2.4, months: 12, small: 5, large: 30 }),
  months: 12,
  runs: 1000,
  lead: 1,
  most: null,
  storage: 0,
  seed: 5,
  ...over,
});

function all(over: Partial<SimulationJob>): SimulatedPolicy[] {
  const steps = simulate(job(over));
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

const once = (first: number): Policy => ({
  id: 'large',
  first,
  again: null,
  toOrder: false,
});

it.each<Demand>([
  { kind: 'poisson', mean: 14 },
  { kind: 'negativeBinomial', mean: 14, dispersion: 3 },
  { kind: 'threePoint', low: 4, likely: 10, high: 25 },
])('one month of one batch agrees with the closed form within 1 %%: %j', (demand) => {
  const [found] = all({ demand, months: 1, runs: 40_000, policies: [once(16)] });
  const [wanted] = expectedOfBatches(terms, demand, meanDemand(demand), [
    { quantity: 16, total: batch(16) },
  ]);
  expect(found!.profit.mean / wanted!.expectedProfit).toBeCloseTo(1, 2);
  expect(found!.sold / wanted!.expectedSales).toBeCloseTo(1, 2);
  expect(found!.profit.low).toBeCloseTo(wanted!.low, -1);
  expect(found!.profit.high).toBeCloseTo(wanted!.high, -1);
});

it('made when ordered loses nothing, and leaves demand times what each leaves', () => {
  const [toOrder] = all({ runs: 20_000, policies: [usualPolicies(USUAL)[0]!] });
  const each = 8000 * 0.905 - 45 - 3900 - 640;
  expect(toOrder!.profit.mean / (12 * 2.4 * each - 4500)).toBeCloseTo(1, 2);
  expect(toOrder!.lost.mean).toBe(0);
  expect(toOrder!.left.high).toBe(0);
  expect(toOrder!.orders).toBe(toOrder!.sold);
});

const USUAL = { perMonth: 2.4, months: 12, small: 5, large: 30 };

it('cash, stock and lost sales add up month by month, and the same seed is the same luck', () => {
  const found = all({ storage: 20 });
  expect(all({ storage: 20 })).toEqual(found);
  expect(all({ storage: 20, seed: 6 })).not.toEqual(found);
  for (const p of found) {
    expect(p.months).toHaveLength(12);
    expect(p.months.reduce((sum, m) => sum + m.lost, 0)).toBeCloseTo(p.lost.mean, 9);
    expect(p.profit.low).toBeLessThanOrEqual(p.profit.mean);
    expect(p.profit.mean).toBeLessThanOrEqual(p.profit.high);
  }
  const [, small, large, mixed] = found;
  // All have the same luck: what one sells and loses is what the others do.
  const wanted = found[0]!.sold;
  for (const p of [small!, large!, mixed!])
    expect(p.sold + p.lost.mean).toBeCloseTo(wanted, 9);
  expect(small!.months[0]!.stock.mean).toBeLessThan(large!.months[0]!.stock.mean);
});

it('a batch is on its way for its months, and is not ordered twice meanwhile', () => {
  const policy: Policy = {
    id: 'small',
    first: 1,
    again: { at: 0, quantity: 4 },
    toOrder: false,
  };
  const demand: Demand = { kind: 'observed', counts: [1] };
  const [found] = all({ demand, lead: 2, runs: 1, policies: [policy], months: 7 });
  // Sold out in month 0, four come in month 2 and are gone in month 5, four come in month 7.
  expect(found!.months.map((m) => m.stock.mean)).toEqual([0, 0, 3, 2, 1, 0, 0]);
  expect(found!.lost.mean).toBe(2);
  expect(found!.orders).toBe(3);
});

it('a route that prints no single ones leaves what is missing lost', () => {
  const [found] = all({ single: null, policies: [usualPolicies(USUAL)[0]!] });
  expect(found!.sold).toBe(0);
  expect(found!.profit.mean).toBe(-4500);
});

it('no more is made than an edition has numbers', () => {
  for (const p of all({ most: 7, runs: 200 })) {
    expect(p.sold + p.left.mean).toBeLessThanOrEqual(7);
    expect(p.left.high).toBeLessThanOrEqual(7);
  }
  const demand: Demand = { kind: 'observed', counts: [3] };
  for (const p of all({ most: 7, runs: 1, demand })) expect(p.sold).toBeLessThanOrEqual(7);
});
