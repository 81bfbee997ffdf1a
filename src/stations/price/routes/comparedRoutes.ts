import { routeKind } from '@/core/prepare';
import type { RouteKindId } from '@/core/prepare';
import { costOfImpression, inOrder, routeOf } from '@/core/price';
import type { PriceValues, RoutePrices } from '@/core/price';
import { listPrinters, ownRoute, priceListsNow } from '@/data';
import type { PriceListRow, Reading } from '@/data';
import { nominalExtent } from '@/studio';

/** One who prints a size, as it is compared. */
export interface ComparedRoute {
  kind: RouteKindId;
  prices: RoutePrices;
  /** Days until the prints are here; null: not said. */
  days: number | null;
  /** What is lost there, in the user's words. */
  loses: string;
  /** Day of the list; null where it was reckoned from what the studio knows. */
  from: string | null;
}

/** One who has a list and is not compared: no price for this size, another currency, a numbered edition. */
export interface LeftOut {
  name: string;
  why: 'noPrice' | 'currency' | 'numbered';
}

export interface ComparedRoutes {
  routes: ComparedRoute[];
  leftOut: LeftOut[];
}

/** What a print costs here: ink and paper, what is spoiled of them, and the printer's wear. */
function ownPrices(name: string, start: PriceValues): RoutePrices {
  const { parts } = costOfImpression(start);
  const made = parts.filter((p) =>
    ['printing', 'paper', 'spoilage', 'wear'].includes(p.part),
  );
  const each = made.reduce((sum, p) => sum + p.amount, 0);
  return inOrder({
    name,
    setUp: 0,
    leastQuantity: 1,
    breaks: [{ from: 1, each }],
    postage: [],
  });
}

/** The own printer, reckoned from what a price starts with; null where it costs nothing that is known. */
async function ownCompared(db: Reading, start: PriceValues): Promise<ComparedRoute | null> {
  const [name, printers] = await Promise.all([ownRoute(db), listPrinters(db)]);
  if (name === '' && printers.length === 0) return null;
  const prices = ownPrices(name || 'own printer', start);
  if (prices.breaks[0]!.each === 0) return null;
  return { kind: 'ownPrinter', prices, days: 0, loses: '', from: null };
}

function listed(
  { name, kind, values, currency }: PriceListRow,
  wanted: { width: number; height: number; paper: string },
  { bench, limited }: { bench: string; limited: boolean },
): ComparedRoute | LeftOut {
  if (limited && routeKind(kind).cannot.includes('number'))
    return { name, why: 'numbered' };
  if (currency !== bench) return { name, why: 'currency' };
  const prices = routeOf(name, values, wanted);
  if (!prices) return { name, why: 'noPrice' };
  return { kind, prices, days: values.days, loses: values.loses, from: values.from };
}

/**
 * Everybody who prints a size on a paper: those with a list, and the own printer with what the
 * studio knows, where it has no list of its own.
 */
export async function comparedRoutes(
  db: Reading,
  { sizeKey, paper, limited }: { sizeKey: string; paper: string; limited: boolean },
  start: PriceValues,
  currency: string,
): Promise<ComparedRoutes> {
  const extent = nominalExtent(sizeKey);
  const lists = await priceListsNow(db);
  const found = extent
    ? lists.map((l) => listed(l, { ...extent, paper }, { bench: currency, limited }))
    : [];
  const own = lists.some((l) => l.kind === 'ownPrinter')
    ? null
    : await ownCompared(db, start);
  return {
    routes: [
      ...(own ? [own] : []),
      ...found.filter((f): f is ComparedRoute => 'prices' in f),
    ],
    leftOut: found.filter((f): f is LeftOut => 'why' in f),
  };
}
