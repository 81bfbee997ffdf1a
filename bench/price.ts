/** Prices: a whole ladder, and a thousand years of stock, each against the time it may take. */
import { CHANNELS, priceLadder, simulate, usualPolicies, usualTerms } from '@/core/price';
import type { LadderChannel, LadderItem, LadderTerms, SimulationJob } from '@/core/price';
import { minor } from '@/core/units';

const RUNS = 21;
const SIZES = 60;

const items: LadderItem[] = Array.from({ length: SIZES }, (_, i) => ({
  id: `s${i}`,
  width: 100 + 20 * i,
  height: 150 + 25 * i,
  paper: '',
  framed: i % 7 === 0,
  edition: i % 2 ? 30 + i : null,
  sold: i % 9,
  cost: 1000 + 90 * i,
  byHand: null,
}));
const channels: LadderChannel[] = CHANNELS.slice(0, 4).map((c) => ({
  channel: c.id,
  terms: usualTerms(c, 'EUR'),
  expected: { perMonth: 4.3, perDay: 7, monthsListed: 5, hour: 2400 },
}));
const terms: LadderTerms = {
  rule: {
    by: 'area',
    through: { width: 300, height: 400, price: 8000 },
    and: { width: 500, height: 700, price: 16_000 },
  },
  limitedTimes: 1.5,
  framedMore: 9000,
  framedTimes: 0,
  papers: [],
  steps: { every: 0.25, by: 0.15 },
  rounding: { step: minor(100), less: minor(5) },
  ceiling: 60_000,
  near: { size: 0.15, price: 0.1 },
};
const years: SimulationJob = {
  terms: {
    price: 8000,
    share: 0.095,
    fixed: 45,
    perPrint: 640,
    once: 4500,
    unsoldWorth: 0,
  },
  demand: { kind: 'negativeBinomial', mean: 2.4, dispersion: 1.5 },
  batch: (q) => 1500 + 1700 * q,
  single: 2500,
  policies: usualPolicies({ perMonth: 2.4, months: 12, small: 5, large: 30 }),
  months: 12,
  runs: 1000,
  lead: 1,
  most: null,
  storage: 10,
  seed: 1,
};

function median(run: () => void): number {
  const times = Array.from({ length: RUNS }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[RUNS >> 1]!;
}

/** Prints how long a ladder of 60 sizes on 4 channels and 1 000 simulated years take, against a frame and 2 s. */
export function measurePrice(): void {
  const ladder = median(() => void priceLadder(items, terms, channels));
  const stock = median(() => {
    const steps = simulate(years);
    while (!steps.next().done);
  });
  const frame = 1000 / 60;
  console.log(
    `ladder of ${SIZES} sizes on ${channels.length} channels: ${ladder.toFixed(1)} ms, ${(ladder / frame).toFixed(2)} of a frame`,
  );
  console.log(
    `${years.runs} years under ${years.policies.length} ways of keeping stock: ${stock.toFixed(0)} ms, ${(stock / 2000).toFixed(3)} of two seconds`,
  );
}
