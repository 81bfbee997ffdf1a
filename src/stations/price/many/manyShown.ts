import {
  bestOf,
  compareRoutes,
  costOfHalf,
  costOfImpression,
  expectedOfBatches,
  expectedWithSecond,
  gainsOfSecond,
  keptWorth,
  fittedDemand,
  meanDemand,
  soldToBreakEven,
  batchPaid,
  testFirst,
} from '@/core/price';
import type {
  BatchExpected,
  Demand,
  DemandBecause,
  PriceValues,
  SaleTerms,
  TestFirst,
} from '@/core/price';
import type { ValueOf } from '@/core/input';
import type { KnownChannel } from '../channels/channelsShown';
import type { ComparedRoute } from '../routes/comparedRoutes';
import type { manyForm } from './manyForm';

export type ManyAsked = ValueOf<(typeof manyForm)['fields']>;

/** Batches that are looked at. */
export const MOST_BATCH = 200;

/** The best batch of one who prints. */
export interface BestOfRoute {
  route: ComparedRoute;
  best: BatchExpected;
  half: { quantity: number; loses: number } | null;
  /** Sales that pay it; null: not even all of it. */
  sold: number | null;
  test: TestFirst | null;
  batches: BatchExpected[];
}

export interface ManyShown {
  demand: Demand;
  because: DemandBecause;
  /** Mean number wanted. */
  mean: number;
  terms: SaleTerms;
  /** The one that is expected to leave most first. */
  routes: BestOfRoute[];
  /** Sales that pay the best batch through each channel; null: not even all of it. */
  perChannel: { channel: string; sold: number | null }[];
  /** The edition has room for no more; null where it does not hinder. */
  capped: number | null;
}

/** What is sold of it, and what each sale leaves. */
export interface ManyKnown {
  start: PriceValues;
  channels: readonly KnownChannel[];
  sold: readonly number[];
  numbersLeft: number | null;
  routes: readonly ComparedRoute[];
}

/** What a sale is reckoned with: what is kept of the channel, else what was typed for this size, else its usual fees. */
export function termsFor(
  { price, channel, unsoldWorth, damaged, storage, months, once }: ManyAsked,
  { start, channels }: Pick<ManyKnown, 'start' | 'channels'>,
): SaleTerms {
  const known = channels.find((c) => c.channel === channel)!;
  // What was typed for this size holds where nothing was kept of the channel since.
  const { commission, payment, fixed } =
    channel === start.channel && known.keptOn === null ? start : known.terms;
  const { advertising, listing, framing } = known.terms;
  const part = new Map(costOfImpression(start).parts.map((p) => [p.part, p.amount]));
  // The printer's wear is of who prints, a gift of what is sold.
  const each = [
    ...(['finishing', 'packing', 'postage', 'labour'] as const),
    ...(['signing', 'framing', 'wrapping'] as const),
  ];
  return {
    price,
    share: commission + payment + advertising,
    fixed: fixed + listing + framing + start.donation,
    perPrint: each.reduce((sum, p) => sum + (part.get(p) ?? 0), 0),
    once: once === 'paid' ? 0 : start.capture + start.proofs,
    unsoldWorth: keptWorth({ worth: unsoldWorth, damaged, storage, months }),
  };
}

/** How many will be wanted: from what was sold, else from three guesses. */
export function demandFor(
  asked: ManyAsked,
  sold: readonly number[],
): { demand: Demand; because: DemandBecause } {
  const { demand, because } = fittedDemand(sold, asked.months);
  const { low, likely, high } = asked;
  return demand && asked.wantedFrom === 'sales'
    ? { demand, because }
    : { demand: { kind: 'threePoint', low, likely, high }, because };
}

/** Every batch of everybody who prints, and the best of each. */
export function manyShown(asked: ManyAsked, known: ManyKnown): ManyShown {
  const { demand, because } = demandFor(asked, known.sold);
  const terms = termsFor(asked, known);
  const mean = meanDemand(demand);
  const room = known.numbersLeft ?? MOST_BATCH;
  const most = Math.min(MOST_BATCH, room);
  const { cost } = compareRoutes(
    known.routes.map((r) => r.prices),
    1,
    most,
  );
  const routes = known.routes
    .flatMap((route): BestOfRoute[] => {
      const { prices } = route;
      const total = (quantity: number) => batchPaid(prices, quantity)?.total ?? null;
      const own = cost.filter((c) => c.route === prices.name);
      const again = asked.missing === 'again';
      const batches = again
        ? expectedWithSecond(terms, demand, mean, own, {
            gains: gainsOfSecond(terms, total, MOST_BATCH),
            room: known.numbersLeft,
          })
        : expectedOfBatches(terms, demand, mean, own);
      const best = bestOf(batches);
      if (!best) return [];
      return [
        {
          route,
          best,
          batches,
          half: costOfHalf(batches, best),
          sold: soldToBreakEven(terms, best),
          test: testFirst(total, best.quantity, asked.testFault),
        },
      ];
    })
    .sort((a, b) => b.best.expectedProfit - a.best.expectedProfit);
  const [first] = routes;
  return {
    perChannel: first
      ? known.channels
          .filter((c) => c.terms.basePrice === null)
          .map(({ channel }) => ({
            channel,
            sold: soldToBreakEven(
              termsFor({ ...asked, channel: channel }, known),
              first.best,
            ),
          }))
      : [],
    demand,
    because,
    mean,
    terms,
    routes,
    capped: known.numbersLeft !== null && routes[0]?.best.quantity === room ? room : null,
  };
}

/** Guesses to begin with: what the sales say of so many months, widely. */
export function firstGuesses(sold: readonly number[], months: number) {
  const mean = sold.length === 0 ? 1 : sold.reduce((a, b) => a + b, 0) / sold.length;
  const likely = Math.max(1, Math.round(mean * months));
  return { low: Math.floor(likely / 2), likely, high: likely * 2 };
}
