import fc from 'fast-check';
import { batchPaid, compareRoutes, inOrder, risingBreaks, routeFault } from '.';
import type { RoutePrices } from '.';

/** A list as it is read by hand: row by row, nothing looked up cleverly. */
function paidByHand(r: RoutePrices, quantity: number): number | null {
  if (quantity < r.leastQuantity) return null;
  let each = 0;
  for (let q = 1; q <= quantity; q++)
    for (const b of r.breaks) if (b.from === q) each = b.each;
  let prints = 0;
  for (let q = 1; q <= quantity; q++) prints += each;
  if (prints < (r.leastPaid ?? 0)) prints = r.leastPaid!;
  let postage = Infinity;
  let room = Infinity;
  for (const p of r.postage) {
    const upTo = p.upTo ?? 1e9;
    if (quantity <= upTo && upTo < room) [room, postage] = [upTo, p.cost];
  }
  if (r.postage.length === 0) postage = 0;
  const free = r.freePostageFrom ?? null;
  if (free !== null && prints >= free) postage = 0;
  return r.setUp + prints + postage;
}

const cents = fc.integer({ min: 0, max: 5000 });
const list = (name: string) =>
  fc
    .record({
      setUp: cents,
      leastQuantity: fc.integer({ min: 1, max: 12 }),
      first: cents,
      more: fc.uniqueArray(fc.tuple(fc.integer({ min: 2, max: 60 }), cents), {
        selector: ([from]) => from,
        maxLength: 5,
      }),
      postage: fc.uniqueArray(fc.tuple(fc.integer({ min: 1, max: 50 }), cents), {
        selector: ([upTo]) => upTo,
        maxLength: 4,
      }),
      last: cents,
      leastPaid: fc.option(cents, { nil: undefined }),
      freePostageFrom: fc.option(fc.integer({ min: 0, max: 60_000 }), { nil: null }),
    })
    .map(({ first, more, postage, last, leastPaid, ...rest }): RoutePrices => ({
      name,
      ...rest,
      ...(leastPaid === undefined ? {} : { leastPaid }),
      breaks: [...more.map(([from, each]) => ({ from, each })), { from: 1, each: first }],
      postage:
        postage.length === 0
          ? []
          : [
              { upTo: null, cost: last },
              ...postage.map(([upTo, cost]) => ({ upTo, cost })),
            ],
    }));

it('costs, the cheapest, and what is cheaper in a larger batch are as by hand', () => {
  fc.assert(
    fc.property(list('a'), list('b'), list('c'), (...routes) => {
      const [from, to] = [1, 70];
      const found = compareRoutes(routes, from, to);
      const byHand = routes.map((r) =>
        Array.from({ length: to }, (_, i) => paidByHand(r, i + 1)),
      );
      routes.forEach((r, n) =>
        expect(found.cost.filter((c) => c.route === r.name)).toEqual(
          byHand[n]!.flatMap((total, i) =>
            total === null ? [] : [{ route: r.name, quantity: i + 1, total }],
          ),
        ),
      );
      for (let q = from; q <= to; q++) {
        const all = byHand.map((costs) => costs[q - 1] ?? Infinity);
        const least = Math.min(...all);
        const name = least === Infinity ? null : routes[all.indexOf(least)]!.name;
        expect(found.cheapest.findLast((c) => c.from <= q)!.route).toBe(name);
        routes.forEach((r, n) => {
          const here = byHand[n]![q - 1] ?? null;
          const more = byHand[n]!.map((total, i) => ({ total, order: i + 1 }))
            .filter((m) => m.order > q && here !== null && m.total! < here)
            .sort((x, y) => x.total! - y.total! || x.order - y.order)[0];
          expect(
            found.cheaperToOrderMore.find((m) => m.route === r.name && m.wanted === q)
              ?.order,
          ).toBe(more?.order);
        });
      }
      // Each row of the cheapest begins something new.
      found.cheapest.forEach((c, i) =>
        expect(c.route).not.toBe(found.cheapest[i - 1]?.route),
      );
    }),
    { numRuns: 60 },
  );
});

const lab: RoutePrices = {
  name: 'lab',
  setUp: 1500,
  leastQuantity: 1,
  breaks: [
    { from: 10, each: 1700 },
    { from: 1, each: 2400 },
  ],
  postage: [
    { upTo: null, cost: 990 },
    { upTo: 5, cost: 690 },
  ],
};

it('a batch is told in its parts, a list in whatever order it stands', () => {
  expect(batchPaid(inOrder(lab), 10)).toEqual({
    setUp: 1500,
    each: 1700,
    prints: 17_000,
    postage: 990,
    total: 19_490,
  });
  expect(batchPaid(inOrder({ ...lab, freePostageFrom: 17_000 }), 10)!.postage).toBe(0);
  expect(batchPaid(inOrder({ ...lab, leastPaid: 3000 }), 1)!.total).toBe(1500 + 3000 + 690);
  expect(batchPaid(inOrder({ ...lab, leastQuantity: 4 }), 3)).toBeNull();
  expect(batchPaid(inOrder(lab), 0)).toBeNull();
});

it.each([
  [{ breaks: [] }, 'noBreaks', 1, 100],
  [{ breaks: [{ from: 4, each: 1 }] }, 'hole', 1, 3],
  [
    {
      breaks: [
        { from: 1, each: 2 },
        { from: 1, each: 3 },
      ],
    },
    'overlap',
    1,
    1,
  ],
  [{ postage: [{ upTo: 30, cost: 1 }] }, 'postageHole', 31, 100],
  [
    {
      postage: [
        { upTo: 30, cost: 1 },
        { upTo: 30, cost: 2 },
      ],
    },
    'postageOverlap',
    30,
    30,
  ],
])('a list with a hole or an overlap is told: %j', (over, what, from, to) => {
  expect(routeFault({ ...lab, ...over }, 100)).toEqual({ route: 'lab', what, from, to });
});

it('a hole below the least quantity is none, and a break that rises is said', () => {
  expect(
    routeFault({ ...lab, leastQuantity: 4, breaks: [{ from: 4, each: 1 }] }, 50),
  ).toBeNull();
  expect(routeFault(lab, 100)).toBeNull();
  expect(risingBreaks(lab)).toEqual([]);
  expect(
    risingBreaks({ ...lab, breaks: [...lab.breaks, { from: 20, each: 1800 }] }),
  ).toEqual([{ route: 'lab', from: 20, each: 1800, before: 1700 }]);
});
