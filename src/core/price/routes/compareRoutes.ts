import { batchPaid, inOrder } from './route';
import type { RoutePrices } from './route';

/** What a route is paid for a batch of so many, minor units. */
export interface RouteCost {
  route: string;
  quantity: number;
  total: number;
}

/** From here on a route is the cheapest; null: nobody prints so few or so many. */
export interface Cheapest {
  from: number;
  route: string | null;
}

/** So many are wanted, and more of them cost less. */
export interface OrderMore {
  route: string;
  wanted: number;
  order: number;
  /** What `wanted` would cost less what `order` costs. */
  saves: number;
}

export interface Comparison {
  cost: RouteCost[];
  cheapest: Cheapest[];
  cheaperToOrderMore: OrderMore[];
}

/** Where a larger batch costs less than a smaller one: the cheapest larger, the fewest of those. */
function orderMore(costs: readonly RouteCost[]): OrderMore[] {
  const found: OrderMore[] = [];
  let best: RouteCost | null = null;
  for (const c of [...costs].reverse()) {
    if (best && best.total < c.total)
      found.push({
        route: c.route,
        wanted: c.quantity,
        order: best.quantity,
        saves: c.total - best.total,
      });
    // Of equal ones the fewer: nobody is sold more than it takes.
    if (!best || c.total <= best.total) best = c;
  }
  return found.reverse();
}

/**
 * Routes over all quantities from `from` to `to`, one by one, so that every step of breaks,
 * least sums and postage counts. Of routes that cost the same the one named first is the cheapest.
 * @example compareRoutes([{ name: 'a', setUp: 500, leastQuantity: 1, breaks: [{ from: 1, each: 100 }], postage: [] }, { name: 'b', setUp: 0, leastQuantity: 1, breaks: [{ from: 1, each: 200 }], postage: [] }], 1, 9).cheapest // [{ from: 1, route: 'b' }, { from: 5, route: 'a' }]
 */
export function compareRoutes(
  routes: readonly RoutePrices[],
  from: number,
  to: number,
): Comparison {
  const byRoute = routes.map(inOrder).map((route) => {
    const costs: RouteCost[] = [];
    for (let quantity = from; quantity <= to; quantity++) {
      const paid = batchPaid(route, quantity);
      if (paid) costs.push({ route: route.name, quantity, total: paid.total });
    }
    return costs;
  });
  const least = new Map<number, RouteCost>();
  for (const costs of byRoute)
    for (const c of costs) {
      const known = least.get(c.quantity);
      if (!known || c.total < known.total) least.set(c.quantity, c);
    }
  const cheapest: Cheapest[] = [];
  for (let quantity = from; routes.length > 0 && quantity <= to; quantity++) {
    const route = least.get(quantity)?.route ?? null;
    const last = cheapest.at(-1);
    if (!last || last.route !== route) cheapest.push({ from: quantity, route });
  }
  return {
    cost: byRoute.flat(),
    cheapest,
    cheaperToOrderMore: byRoute.flatMap(orderMore),
  };
}
