import { chance } from '../../image/chance';
import { demandWithin } from '../demand';
import type { Demand } from '../demand';
import { asNumber } from '../exact';
import { leftOfSale } from '../batch';
import type { SaleTerms } from '../batch';
import { batchPaid, inOrder } from '../routes';
import type { RoutePrices } from '../routes';
import type { Policy } from './policies';

/** What is simulated: each month as many are wanted as `demand` says, by itself. */
export interface SimulationJob {
  terms: SaleTerms;
  /** Of one month. */
  demand: Demand;
  /** What a batch costs at the route that batches come from, and what one by one costs; null: not printed. */
  batch: (quantity: number) => number | null;
  single: number | null;
  policies: readonly Policy[];
  months: number;
  /** How often all of the months are gone through. */
  runs: number;
  /** Months that a batch takes; what is ordered again is there a month later at the earliest. */
  lead: number;
  /** Prints that can be made in all: numbers left of an edition; null: as many as are wanted. */
  most: number | null;
  /** What a print costs that lies there at the end of a month. */
  storage: number;
  seed: number;
}

/** What a figure came to over all runs. */
export interface Spread {
  mean: number;
  low: number;
  high: number;
}

export interface SimulatedPolicy {
  policy: Policy['id'];
  /** At the end of all months, what is left at its worth: minor units. */
  profit: Spread;
  /** Prints wanted and not there, in all; prints left over at the end. */
  lost: Spread;
  left: Spread;
  sold: number;
  orders: number;
  /** At the end of each month. */
  months: { stock: Spread; cash: Spread; lost: number }[];
}

/** Runs that are gone through between two words of how far it is. */
const SLICE = 50;
/** Nobody wants more than this in a month. */
const MOST = 10_000;

function spreadOf(values: Float64Array): Spread {
  const sorted = Float64Array.from(values).sort();
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))]!;
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  return { mean, low: at(0.1), high: at(0.9) };
}

/** A demand to be drawn from: by its distribution, looked up by halves. */
function drawer(demand: Demand): (at: number) => number {
  let most = 64;
  let within = demandWithin(demand, most);
  while (most < MOST && within[most]! < 1 - 1e-9)
    within = demandWithin(demand, (most = Math.min(MOST, most * 4)));
  return (at) => {
    let [low, high] = [0, most];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (within[middle]! >= at) high = middle;
      else low = middle + 1;
    }
    return low;
  };
}

interface Held {
  profit: Float64Array;
  lost: Float64Array;
  left: Float64Array;
  stock: Float64Array[];
  cash: Float64Array[];
  lostBy: number[];
  sold: number;
  orders: number;
}

/** One run of one policy: what is wanted comes from outside, so that all have the same luck. */
function run(
  job: SimulationJob,
  policy: Policy,
  wanted: readonly number[],
  at: number,
  held: Held,
) {
  const { terms, batch, single, lead, storage, most } = job;
  const left = asNumber(leftOfSale(terms));
  const coming: { month: number; quantity: number }[] = [];
  let [stock, cash, onWay, lost] = [0, -terms.once, 0, 0];
  let room = most ?? Infinity;
  const order = (wish: number, month: number) => {
    const quantity = Math.min(wish, room);
    const total = quantity > 0 ? batch(quantity) : null;
    if (total === null) return;
    cash -= total + terms.perPrint * quantity;
    room -= quantity;
    onWay += quantity;
    held.orders++;
    coming.push({ month, quantity });
  };
  const arrive = (month: number) => {
    while (coming[0] && coming[0].month <= month) {
      const { quantity } = coming.shift()!;
      stock += quantity;
      onWay -= quantity;
    }
  };
  order(policy.first, 0);
  wanted.forEach((want, month) => {
    arrive(month);
    const sold = Math.min(stock, want);
    stock -= sold;
    cash += sold * left;
    const missing = want - sold;
    const made = policy.toOrder && single !== null ? Math.min(missing, room) : 0;
    room -= made;
    cash += made * (left - (single ?? 0) - terms.perPrint);
    held.sold += sold + made;
    held.orders += made;
    lost += missing - made;
    held.lostBy[month]! += missing - made;
    const { again } = policy;
    // What comes in the month after the last would only lie there.
    if (again && month + 1 < wanted.length && stock + onWay <= again.at)
      order(again.quantity, month + Math.max(1, lead));
    cash -= stock * storage;
    held.stock[month]![at] = stock;
    held.cash[month]![at] = cash;
  });
  held.profit[at] = cash + (stock + onWay) * terms.unsoldWorth;
  held.lost[at] = lost;
  held.left[at] = stock + onWay;
}

/**
 * Months of stock, cash and lost sales under each policy, gone through many times with seeded
 * luck: the same job gives the same answer. Yields how far it is, 0..1.
 */
export function* simulate(job: SimulationJob): Generator<number, SimulatedPolicy[]> {
  const { months, runs, policies } = job;
  const draw = drawer(job.demand);
  const next = chance(job.seed);
  const fresh = () => new Float64Array(runs);
  const all = policies.map((): Held => ({
    profit: fresh(),
    lost: fresh(),
    left: fresh(),
    stock: Array.from({ length: months }, fresh),
    cash: Array.from({ length: months }, fresh),
    lostBy: Array.from({ length: months }, () => 0),
    sold: 0,
    orders: 0,
  }));
  for (let at = 0; at < runs; at++) {
    const wanted = Array.from({ length: months }, () => draw(next()));
    policies.forEach((policy, p) => run(job, policy, wanted, at, all[p]!));
    if (at % SLICE === SLICE - 1) yield (at + 1) / runs;
  }
  return all.map((held, p) => ({
    policy: policies[p]!.id,
    profit: spreadOf(held.profit),
    lost: spreadOf(held.lost),
    left: spreadOf(held.left),
    sold: held.sold / runs,
    orders: held.orders / runs,
    months: held.stock.map((stock, m) => ({
      stock: spreadOf(stock),
      cash: spreadOf(held.cash[m]!),
      lost: held.lostBy[m]! / runs,
    })),
  }));
}

/** What is simulated, as plain data: what batches and single prints come from are price lists. */
export interface SimulationWish extends Omit<SimulationJob, 'batch' | 'single'> {
  batchRoute: RoutePrices;
  singleRoute: RoutePrices;
}

/** The same, with who prints by their lists; it can be handed to a thread. */
export function simulateOver({
  batchRoute,
  singleRoute,
  ...job
}: SimulationWish): Generator<number, SimulatedPolicy[]> {
  const [many, one] = [inOrder(batchRoute), inOrder(singleRoute)];
  return simulate({
    ...job,
    batch: (quantity) => batchPaid(many, quantity)?.total ?? null,
    single: batchPaid(one, 1)?.total ?? null,
  });
}
