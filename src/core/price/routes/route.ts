/** From so many prints on, each costs `each`, minor units. */
export interface PriceBreak {
  from: number;
  each: number;
}

/** Postage of a batch of up to so many prints; null: of any. Minor units. */
export interface PostageStep {
  upTo: number | null;
  cost: number;
}

/** What a route asks for a size on a paper. Money in minor units of one currency. */
export interface RoutePrices {
  name: string;
  /** Paid for each batch, with whatever a proof of it costs. */
  setUp: number;
  /** Fewer are not printed. */
  leastQuantity: number;
  breaks: readonly PriceBreak[];
  /** Empty: nothing is sent, or nothing is asked for it. */
  postage: readonly PostageStep[];
  /** The prints of a batch come to at least this. */
  leastPaid?: number;
  /** A batch whose prints come to this is sent free; null: none is. */
  freePostageFrom?: number | null;
}

/** What makes no sense in a price list. */
export interface RouteFault {
  route: string;
  what: 'noBreaks' | 'hole' | 'overlap' | 'postageHole' | 'postageOverlap' | 'twice';
  /** The quantities that are meant. */
  from: number;
  to: number;
}

/** A break at which each print costs more than before: possible, and said. */
export interface RisingBreak {
  route: string;
  from: number;
  each: number;
  before: number;
}

/** A route's list, in order, so that a quantity is looked up once. */
export const inOrder = (route: RoutePrices): RoutePrices => ({
  ...route,
  breaks: [...route.breaks].sort((a, b) => a.from - b.from),
  postage: [...route.postage].sort((a, b) => (a.upTo ?? Infinity) - (b.upTo ?? Infinity)),
});

/**
 * The first thing that is wrong in a route's list, for quantities of up to `most`; null where
 * every one has one price and one postage.
 * @example routeFault({ name: 'lab', setUp: 0, leastQuantity: 1, breaks: [{ from: 3, each: 900 }], postage: [] }, 10) // { route: 'lab', what: 'hole', from: 1, to: 2 }
 */
export function routeFault(route: RoutePrices, most: number): RouteFault | null {
  const { name, leastQuantity: least, breaks, postage } = inOrder(route);
  const fault = (what: RouteFault['what'], from: number, to: number): RouteFault => ({
    route: name,
    what,
    from,
    to,
  });
  const [first] = breaks;
  if (!first) return fault('noBreaks', least, most);
  if (first.from > least) return fault('hole', least, first.from - 1);
  const again = breaks.find((b, i) => breaks[i + 1]?.from === b.from);
  if (again) return fault('overlap', again.from, again.from);
  const same = postage.find((p, i) => i > 0 && postage[i - 1]!.upTo === p.upTo);
  if (same) return fault('postageOverlap', same.upTo ?? least, same.upTo ?? most);
  const last = postage.at(-1);
  if (last && last.upTo !== null && last.upTo < most)
    return fault('postageHole', last.upTo + 1, most);
  return null;
}

/**
 * Breaks that do not fall: each print costs more from there on.
 * @example risingBreaks({ name: 'lab', setUp: 0, leastQuantity: 1, breaks: [{ from: 1, each: 900 }, { from: 5, each: 950 }], postage: [] })[0].from // 5
 */
export function risingBreaks(route: RoutePrices): RisingBreak[] {
  const { name, breaks } = inOrder(route);
  return breaks.flatMap(({ from, each }, i) => {
    const before = breaks[i - 1]?.each;
    return before !== undefined && each > before
      ? [{ route: name, from, each, before }]
      : [];
  });
}

/** What a batch is made of. */
export interface BatchPaid {
  setUp: number;
  each: number;
  prints: number;
  postage: number;
  total: number;
}

/**
 * What a route is paid for a batch: set-up, prints and postage; null where it does not print
 * so few. The list is in order (`inOrder`).
 * @example batchPaid({ name: 'lab', setUp: 1500, leastQuantity: 1, breaks: [{ from: 1, each: 2400 }, { from: 10, each: 1700 }], postage: [{ upTo: 5, cost: 690 }, { upTo: null, cost: 990 }] }, 10).total // 19490
 */
export function batchPaid(route: RoutePrices, quantity: number): BatchPaid | null {
  if (quantity < Math.max(1, route.leastQuantity)) return null;
  const each = route.breaks.findLast((b) => b.from <= quantity)?.each;
  if (each === undefined) return null;
  const prints = Math.max(each * quantity, route.leastPaid ?? 0);
  const { freePostageFrom: free = null, setUp } = route;
  const step = route.postage.find((p) => p.upTo === null || quantity <= p.upTo);
  if (!step && route.postage.length > 0) return null;
  const postage = free !== null && prints >= free ? 0 : (step?.cost ?? 0);
  return { setUp, each, prints, postage, total: setUp + prints + postage };
}
