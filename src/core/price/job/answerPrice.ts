import { minor } from '../../units';
import {
  bestOf,
  costOfHalf,
  expectedOfBatches,
  expectedWithSecond,
  gainsOfSecond,
  leftOfSale,
  soldToBreakEven,
  testFirst,
} from '../batch';
import type { BatchExpected, SaleTerms } from '../batch';
import { costOfImpression, costOverSold } from '../cost';
import type { CostInput } from '../cost';
import { fittedDemand, meanDemand } from '../demand';
import type { Demand } from '../demand';
import { asNumber, exactly } from '../exact';
import { fewestFor } from '../fewest';
import { priceLadder } from '../ladder';
import { payBack, payBackBand, payBackSwings } from '../own';
import { batchPaid, compareRoutes, inOrder, risingBreaks } from '../routes';
import type { RouteCost, RoutePrices } from '../routes';
import { priceForNet, readyChannel, saleThrough } from '../sale';
import { simulateOver, usualPolicies } from '../simulate';
import type { SimulatedPolicy } from '../simulate';
import { taxOf } from '../tax';
import type { JobWarning, PriceAnswer, PriceJob } from './types';

/** What one costs is said over so many sold at most. */
const MOST_SOLD = 1000;

/** What a sale is reckoned with, where a price and a channel are given. */
function termsOf(job: PriceJob): SaleTerms | null {
  const { price, channel, months, perPrint, once, unsoldWorth } = job;
  if (price === undefined || !channel) return null;
  const { share, fixed, perMonth } = channel;
  return { price, share, fixed, perPrint, once: once + months * perMonth, unsoldWorth };
}

const totalOf = (route: RoutePrices) => {
  const ordered = inOrder(route);
  return (quantity: number) => batchPaid(ordered, quantity)?.total ?? null;
};

const whole = (b: BatchExpected): BatchExpected => ({
  ...b,
  expectedProfit: Math.round(b.expectedProfit),
  off: Math.round(b.off),
  low: Math.round(b.low),
  high: Math.round(b.high),
});

function batchesOf(
  job: PriceJob,
  terms: SaleTerms,
  demand: Demand,
  cost: readonly RouteCost[],
) {
  const mean = meanDemand(demand);
  return job.routes.flatMap((route) => {
    const own = cost.filter((c) => c.route === route.name);
    const batches = job.secondBatch
      ? expectedWithSecond(terms, demand, mean, own, {
          gains: gainsOfSecond(terms, totalOf(route), job.quantities[1]),
          room: null,
        })
      : expectedOfBatches(terms, demand, mean, own);
    const best = bestOf(batches);
    if (!best) return [];
    const half = costOfHalf(batches, best);
    const { quantity, expectedProfit, off, low, high } = whole(best);
    const fault = job.testFault;
    return [
      {
        batches: batches.map((b) => ({ route: route.name, ...whole(b) })),
        best: {
          route: route.name,
          quantity,
          expectedProfit,
          off,
          low,
          high,
          half: half && { quantity: half.quantity, loses: Math.round(half.loses) },
          test: fault === undefined ? null : testFirst(totalOf(route), quantity, fault),
        },
      },
    ];
  });
}

/** What one impression costs, part by part, and as more are sold. */
const impressionOf = (input: CostInput): PriceAnswer['impression'] => ({
  ...costOfImpression(input),
  overSold: costOverSold(input, Math.min(MOST_SOLD, 2 * input.expectedImpressions)),
});

function warningsOf(
  { routes, perPrint, quantities: [, to] }: PriceJob,
  terms: SaleTerms | null,
  best: readonly { route: string; quantity: number; expectedProfit: number }[],
): JobWarning[] {
  const left = terms && asNumber(leftOfSale(terms));
  return [
    ...routes.flatMap(risingBreaks).map((b): JobWarning => ({ what: 'risingBreak', ...b })),
    ...(left !== null && left < perPrint
      ? [{ what: 'saleLoses' as const, left: Math.round(left), perPrint }]
      : []),
    ...best
      .filter((b) => b.expectedProfit < 0)
      .map(({ route, expectedProfit }): JobWarning => ({
        what: 'everyBatchLoses',
        route,
        least: -expectedProfit,
      })),
    ...best
      .filter((b) => b.quantity === to)
      .map(({ route }): JobWarning => ({ what: 'bestMayBeLarger', route, to })),
  ];
}

function* simulated(
  job: PriceJob,
  terms: SaleTerms | null,
): Generator<number, SimulatedPolicy[] | null> {
  const asked = job.simulate;
  if (!asked || !terms) return null;
  const route = (name: string) => job.routes.find((r) => r.name === name)!;
  const { demand, months, small, large, batchRoute, singleRoute, ...rest } = asked;
  return yield* simulateOver({
    ...rest,
    terms,
    demand,
    months,
    batchRoute: route(batchRoute),
    singleRoute: route(singleRoute),
    policies: usualPolicies({ perMonth: meanDemand(demand), months, small, large }),
  });
}

function channelsOf({ price, channels }: PriceJob): PriceAnswer['channels'] {
  if (!channels || price === undefined) return null;
  const { of, cost, expected, wantedNet, rounding } = channels;
  return of.map(({ channel, ...terms }) => {
    const ready = readyChannel(terms, expected);
    return {
      channel,
      ...saleThrough(minor(price), minor(cost), ready),
      priceForNet:
        wantedNet === null
          ? null
          : priceForNet(minor(wantedNet), minor(cost), ready, rounding),
    };
  });
}

function ladderOf({ ladder, channels }: PriceJob): PriceAnswer['ladder'] {
  if (!ladder) return null;
  const { items, ...terms } = ladder;
  const through = (channels?.of ?? []).map(({ channel, ...of }) => ({
    channel,
    terms: of,
    expected: channels!.expected,
  }));
  return priceLadder(items, terms, through);
}

/**
 * Answers a job that has no fault (`priceJobFault`): what is asked of it. A generator, since
 * simulated months take a while: it yields how far it is, 0..1.
 */
export function* answerPrice(job: PriceJob): Generator<number, PriceAnswer> {
  const { routes, quantities, printer, sales, channel } = job;
  const terms = termsOf(job);
  const compared = compareRoutes(routes, ...quantities);
  const fitted = sales ? fittedDemand(sales.counts, sales.ahead) : null;
  const used = job.demand ?? fitted?.demand ?? null;
  const batches = terms && used ? batchesOf(job, terms, used, compared.cost) : null;
  return {
    currency: job.currency,
    impression: job.impression ? impressionOf(job.impression) : null,
    tax: job.tax && job.price !== undefined ? taxOf(minor(job.price), job.tax) : null,
    ...compared,
    warnings: warningsOf(job, terms, batches?.map((b) => b.best) ?? []),
    breakEven:
      terms &&
      compared.cost.map(({ route, quantity, total }) => ({
        route,
        quantity,
        sold: soldToBreakEven(terms, { quantity, total }),
      })),
    monthlyFee:
      terms && channel && channel.perMonth > 0
        ? {
            perMonth: channel.perMonth,
            sold: fewestFor(exactly(channel.perMonth), leftOfSale(terms)),
          }
        : null,
    demand: used || fitted ? { used, because: fitted?.because ?? null } : null,
    bestBatch: batches && batches.map((b) => b.best),
    batches: batches && batches.flatMap((b) => b.batches),
    simulated: yield* simulated(job, terms),
    channels: channelsOf(job),
    ladder: ladderOf(job),
    printer: printer
      ? {
          ...payBack(printer.figures),
          band: payBackBand(printer.figures, printer.off),
          swings: payBackSwings(printer.figures),
        }
      : null,
  };
}
