import { currencyDigits } from '../../units';
import { takesAll } from '../channels';
import { demandFault } from '../demand';
import { sizeAlong } from '../ladder/rules';
import { inOrder, routeFault } from '../routes';
import type { JobFault, PriceJob } from './types';

/** Months that are gone through in all: each is held until its spread is known. */
export const MOST_MONTHS = 1_500_000;
/** Batches that are compared at once. */
export const MOST_QUANTITY = 10_000;

const isCurrency = (code: string): boolean => {
  try {
    return Number.isInteger(currencyDigits(code));
  } catch {
    return false;
  }
};

function routesFault({ routes, quantities: [from, to] }: PriceJob): JobFault | null {
  if (routes.length > 0 && !(from >= 1 && from <= to && to <= MOST_QUANTITY))
    return { what: 'quantities', of: `${from} to ${to}` };
  const names = routes.map((r) => r.name);
  const twice = names.find((n, i) => names.indexOf(n) !== i);
  if (twice !== undefined) return { what: 'twice', of: twice };
  for (const route of routes) {
    const fault = routeFault(inOrder(route), to);
    if (fault) return { what: fault.what, of: fault.route, from: fault.from, to: fault.to };
  }
  return null;
}

/** Shares that leave nothing of any price. */
function shareFault({ channel, channels }: PriceJob): JobFault | null {
  if (channel && channel.share >= 1) return { what: 'share', of: 'channel' };
  const whole = channels?.of.find(takesAll);
  return whole ? { what: 'share', of: whole.channel } : null;
}

/** Second batches are gone through for every demand and every batch. */
export const MOST_SECOND = 1000;

const secondFault = ({ secondBatch, quantities: [, to] }: PriceJob): JobFault | null =>
  secondBatch && to > MOST_SECOND
    ? { what: 'quantities', of: `1 to ${to} with secondBatch (${MOST_SECOND} at most)` }
    : null;

function demandsFault({ demand, simulate }: PriceJob): JobFault | null {
  for (const d of [demand, simulate?.demand])
    if (d && demandFault(d)) return { what: 'demand', of: d.kind };
  return null;
}

function simulationFault({ simulate, routes, price }: PriceJob): JobFault | null {
  if (!simulate) return null;
  if (price === undefined) return { what: 'needsPrice', of: 'simulate' };
  if (simulate.runs * simulate.months > MOST_MONTHS)
    return { what: 'tooLong', of: `${simulate.runs} × ${simulate.months}` };
  const stranger = [simulate.batchRoute, simulate.singleRoute].find(
    (name) => !routes.some((r) => r.name === name),
  );
  return stranger === undefined ? null : { what: 'noRoute', of: stranger };
}

function ladderFault({ ladder }: PriceJob): JobFault | null {
  if (!ladder) return null;
  const ids = ladder.items.map((i) => i.id);
  const twice = ids.find((n, i) => ids.indexOf(n) !== i);
  if (twice !== undefined) return { what: 'twice', of: twice };
  const { rule } = ladder;
  if (rule.by !== 'area' && rule.by !== 'lengthPlusWidth') return null;
  if (!rule.and) return null;
  const [a, b] = [sizeAlong(rule.by, rule.through), sizeAlong(rule.by, rule.and)];
  return a.n * b.d === b.n * a.d ? { what: 'anchor', of: 'rule.and' } : null;
}

/**
 * The first thing in a job that makes no sense; null where it can be answered.
 * @example priceJobFault({ currency: 'EUR', months: 0, perPrint: 0, once: 0, unsoldWorth: 0, routes: [], quantities: [1, 1] })?.what // 'nothingAsked'
 */
export function priceJobFault(job: PriceJob): JobFault | null {
  const { routes, ladder, channels, printer, sales } = job;
  if (!isCurrency(job.currency)) return { what: 'currency', of: job.currency };
  const other = ladder ?? channels ?? printer ?? sales ?? job.impression ?? job.tax;
  if (routes.length === 0 && !other) return { what: 'nothingAsked', of: '' };
  if (job.channel && job.price === undefined) return { what: 'needsPrice', of: 'channel' };
  if (job.tax && job.price === undefined) return { what: 'needsPrice', of: 'tax' };
  if (channels && job.price === undefined) return { what: 'needsPrice', of: 'channels' };
  return (
    shareFault(job) ??
    routesFault(job) ??
    secondFault(job) ??
    demandsFault(job) ??
    simulationFault(job) ??
    ladderFault(job)
  );
}
