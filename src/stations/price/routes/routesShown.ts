import { compareRoutes, quotes } from '@/core/price';
import type { Comparison, OrderMore, Quoted } from '@/core/price';
import type { ComparedRoute } from './comparedRoutes';
import { MOST_DRAWN } from './quantityForm';
import type { Drawn } from './RoutesChart';

/** One who prints so many, with what is known of it. */
export interface QuotedRoute extends Quoted {
  route: string;
  of: ComparedRoute;
}

export interface RoutesShown {
  compared: Comparison;
  drawn: Drawn[];
  /** The cheapest first. */
  quoted: QuotedRoute[];
  /** Who prints no so few. */
  notSoFew: { name: string; least: number }[];
  /** Of the cheapest: that a few more cost less. */
  more: OrderMore[];
  /** Where the next one becomes the cheapest; null where nobody does. */
  next: { from: number; route: string } | null;
}

/** Routes compared over all quantities, and at one of them. */
export function routesShown(
  routes: readonly ComparedRoute[],
  quantity: number,
): RoutesShown {
  const prices = routes.map((r) => r.prices);
  const compared = compareRoutes(prices, 1, MOST_DRAWN);
  const next = compared.cheapest.find((c) => c.from > quantity && c.route !== null);
  return {
    compared,
    drawn: prices.map(({ name }) => ({
      name,
      points: compared.cost
        .filter((c) => c.route === name)
        .map(({ quantity: q, total }) => ({ quantity: q, each: total / q })),
    })),
    quoted: quotes(prices, quantity).map((q) => ({
      ...q,
      of: routes.find((r) => r.prices.name === q.route)!,
    })),
    notSoFew: prices
      .filter((p) => p.leastQuantity > quantity)
      .map((p) => ({ name: p.name, least: p.leastQuantity })),
    more: compared.cheaperToOrderMore.filter((m) => m.wanted === quantity),
    next: next ? { from: next.from, route: next.route! } : null,
  };
}
