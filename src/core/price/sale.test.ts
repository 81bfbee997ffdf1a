import fc from 'fast-check';
import { minor } from '../units';
import {
  CHANNELS,
  priceForNet,
  readyChannel,
  roundedDown,
  saleThrough,
  usualTerms,
} from '.';
import type { ChannelTerms, ExpectedSales } from '.';
import { asNumber, exactly, leastWhole, lowest, nearestWhole } from './exact';

const NONE: ChannelTerms = {
  ...usualTerms(
    CHANNELS.find((c) => c.id === 'private')!,
    'EUR',
  ),
};
const EXPECTED: ExpectedSales = { perMonth: 4, perDay: 8, monthsListed: 9, hour: 2400 };

const thousandths = (most: number) =>
  fc.integer({ min: 0, max: most }).map((n) => n / 1000);
const someTerms: fc.Arbitrary<ChannelTerms> = fc.record({
  commission: thousandths(500),
  payment: thousandths(100),
  advertising: thousandths(150),
  fixed: fc.nat(300).map(minor),
  listing: fc.nat(100).map(minor),
  listingMonths: fc.integer({ min: 1, max: 6 }),
  perMonth: fc.nat(3000).map(minor),
  day: fc.nat(20_000).map(minor),
  dayHours: fc.nat(12),
  framing: fc.nat(5000).map(minor),
  saleOrReturn: fc.boolean(),
  daysUntilPaid: fc.nat(90),
  basePrice: fc.option(fc.nat(4000).map(minor), { nil: null }),
});
const someExpected: fc.Arbitrary<ExpectedSales> = fc.record({
  perMonth: fc.integer({ min: 0, max: 400 }).map((n) => n / 10),
  perDay: fc.integer({ min: 0, max: 40 }),
  monthsListed: fc.nat(24),
  hour: fc.nat(6000),
});

it('gross less fees less cost is net, and the parts add up to the fees', () => {
  fc.assert(
    fc.property(
      fc.nat(100_000),
      fc.nat(20_000),
      someTerms,
      someExpected,
      (price, cost, terms, expected) => {
        const sale = saleThrough(minor(price), minor(cost), readyChannel(terms, expected));
        expect(sale.gross - sale.fees - sale.cost).toBe(sale.net);
        expect(sale.parts.reduce((a, p) => a + p.amount, 0)).toBe(sale.fees);
        const byHand =
          price * (terms.commission + terms.payment + terms.advertising) +
          terms.fixed +
          terms.framing +
          terms.listing *
            Math.max(1, Math.ceil(expected.monthsListed / terms.listingMonths)) +
          (expected.perMonth > 0 ? terms.perMonth / expected.perMonth : 0) +
          (expected.perDay > 0
            ? (terms.day + terms.dayHours * expected.hour) / expected.perDay
            : 0);
        expect(Math.abs(sale.fees - byHand)).toBeLessThanOrEqual(0.5 + 1e-6);
      },
    ),
  );
});

it('the price for a net is the lowest in its style that leaves it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -500, max: 2000 }),
      fc.nat(1500),
      someTerms,
      fc.constantFrom([1, 0], [100, 5], [100, 0], [500, 0], [50, 1]),
      (net, cost, terms, [step, less]) => {
        const ready = readyChannel({ ...terms, day: minor(0), dayHours: 0 }, EXPECTED);
        const style = { step: minor(step), less: minor(less) };
        const found = priceForNet(minor(net), minor(cost), ready, style)!;
        const leaves = (p: number) => saleThrough(minor(p), minor(cost), ready).net >= net;
        let byHand = 0;
        if (!leaves(0)) byHand = step - less;
        while (!leaves(byHand)) byHand += step;
        expect(found).toBe(byHand);
      },
    ),
    { numRuns: 60 },
  );
});

it('what is paid anyhow says how many must be sold', () => {
  const fair = { ...NONE, payment: 0.0175, day: minor(9000), dayHours: 10 };
  const sale = saleThrough(minor(9200), minor(3710), readyChannel(fair, EXPECTED));
  // 9000 + 24 000 of a day over 9200 x 0.9825 - 3710.
  expect(sale.mustSell).toEqual({ perMonth: 0, perDay: Math.ceil(33_000 / 5329) });
  const site = { ...NONE, perMonth: minor(1200) };
  expect(
    saleThrough(minor(100), minor(100), readyChannel(site, EXPECTED)).mustSell.perMonth,
  ).toBeNull();
});

it('a channel that prints costs its base price; one that takes all has no price', () => {
  const sale = saleThrough(
    minor(5000),
    minor(1400),
    readyChannel({ ...NONE, basePrice: minor(2700) }, EXPECTED),
  );
  expect(sale).toMatchObject({ cost: 2700, net: 2300, margin: 0.46 });
  const all = readyChannel({ ...NONE, commission: 0.9, payment: 0.1 }, EXPECTED);
  expect(
    priceForNet(minor(1), minor(0), all, { step: minor(1), less: minor(0) }),
  ).toBeNull();
});

it('exact figures are what decimals mean', () => {
  expect(lowest(exactly(7.1 / 100))).toEqual({ n: 71n, d: 1000n });
  expect(exactly(1.5e-7)).toEqual({ n: 15n, d: 100_000_000n });
  expect(exactly(-2.25)).toEqual({ n: -225n, d: 100n });
  expect(exactly(1e21)).toEqual({ n: 10n ** 21n, d: 1n });
  expect(nearestWhole({ n: -5n, d: 2n })).toBe(-2);
  expect(leastWhole({ n: -7n, d: 2n }, { n: 1n, d: 1n })).toBe(-3);
  expect(leastWhole({ n: 7n, d: 2n }, { n: -1n, d: 1n })).toBe(-3);
  expect(asNumber({ n: 10n ** 400n, d: 4n * 10n ** 400n })).toBeCloseTo(0.25, 12);
});

it('rounded down into a style, and left alone where none fits', () => {
  const style = { step: minor(100), less: minor(5) };
  expect(roundedDown(minor(10_594), style)).toBe(10_495);
  expect(roundedDown(minor(10_595), style)).toBe(10_595);
  expect(roundedDown(minor(60), style)).toBe(60);
});
