import { CHANNELS, startPrice, usualTerms } from '@/core/price';
import { minor } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { guessFault } from './manyForm';
import { demandFor, firstGuesses, manyShown, termsFor } from './manyShown';
import type { ManyAsked, ManyKnown } from './manyShown';
import { bestWords, demandWords, perChannelWords, testWords } from './manyWords';
import { numbersLeft } from './soldOf';
import { simulationWish } from './useSimulation';

const format = formatOf({ units: 'metric', currency: 'EUR', locale: 'en-GB' } as never);
const start = startPrice({
  currency: 'EUR',
  printing: minor(200),
  paper: minor(640),
  capture: minor(3000),
  proofs: minor(1500),
  editionSize: 30,
});
const asked: ManyAsked = {
  price: minor(8000),
  channel: 'own site',
  months: 12,
  wantedFrom: 'sales',
  low: 5,
  likely: 10,
  high: 20,
  unsoldWorth: minor(0),
  ...{ storage: minor(0), damaged: 0, missing: 'lost' as const, once: 'counted' as const },
  testFault: 0.1,
};
const known: ManyKnown = {
  start,
  channels: CHANNELS.map((c) => ({
    channel: c.id,
    terms: usualTerms(c, 'EUR'),
    keptOn: null,
  })),
  sold: [1, 0, 2, 1, 1, 2, 0, 1, 1, 2, 1, 0],
  numbersLeft: null,
  routes: [
    {
      kind: 'ownPrinter',
      prices: {
        name: 'own printer',
        setUp: 0,
        leastQuantity: 1,
        breaks: [{ from: 1, each: 900 }],
        postage: [],
      },
      days: 0,
      loses: '',
      from: null,
    },
    {
      kind: 'printStudio',
      prices: {
        name: 'studio',
        setUp: 2500,
        leastQuantity: 1,
        breaks: [{ from: 1, each: 1900 }],
        postage: [],
      },
      days: 40,
      loses: '',
      from: '2026-11-01',
    },
  ],
};

it('the best batch of each, the best of them first, with what half of it would cost', () => {
  const shown = manyShown(asked, known);
  expect(shown.routes.map((r) => r.route.prices.name)).toEqual(['own printer', 'studio']);
  const [{ best, half, batches, sold }] = shown.routes as [(typeof shown.routes)[number]];
  for (const b of batches)
    expect(b.expectedProfit).toBeLessThanOrEqual(best.expectedProfit + 1e-6);
  expect(half!.quantity).toBe(Math.ceil(best.quantity / 2));
  expect(sold).toBeLessThanOrEqual(best.quantity);
  expect(bestWords(shown, format)).toMatch(
    /from own printer leave €\d.* instead would leave/,
  );
  expect(demandWords(shown, 12, format)).toMatch(/^12 ordered in 12 months, one by one/);
});

it('an edition caps it, and that is said', () => {
  const shown = manyShown(asked, { ...known, numbersLeft: 4 });
  expect(shown.routes[0]!.best.quantity).toBe(4);
  expect(bestWords(shown, format)).toContain('The edition has room for no more.');
  expect(manyShown(asked, { ...known, numbersLeft: 0 }).routes).toEqual([]);
});

it('with little sold, three guesses take the place; with enough they can', () => {
  expect(demandFor(asked, [1, 0]).demand.kind).toBe('threePoint');
  expect(demandFor(asked, known.sold).demand.kind).toBe('negativeBinomial');
  expect(demandFor({ ...asked, wantedFrom: 'guesses' }, known.sold).demand).toEqual({
    kind: 'threePoint',
    low: 5,
    likely: 10,
    high: 20,
  });
  const shown = manyShown(asked, { ...known, sold: [1, 0] });
  expect(demandWords(shown, 12, format)).toContain('too little to tell');
  expect(firstGuesses([1, 1, 1, 1], 12)).toEqual({ low: 6, likely: 12, high: 24 });
});

it('guesses out of order are refused at their field, where they count', () => {
  const guesses = { ...asked, wantedFrom: 'guesses' as const };
  expect(guessFault(guesses)).toEqual({});
  expect(guessFault({ ...guesses, low: 11 })).toHaveProperty('low');
  expect(guessFault({ ...guesses, high: 9 })).toHaveProperty('high');
  expect(guessFault({ ...asked, low: 11 })).toEqual({});
});

it('a batch that loses is said to lose', () => {
  const shown = manyShown({ ...asked, price: minor(1500) }, known);
  expect(bestWords(shown, format)).toMatch(/^No batch pays/);
});

it('what was kept of a channel counts, else what was typed for this size', () => {
  const of = (channels: ManyKnown['channels'], channel = 'own site') =>
    manyShown({ ...asked, channel: channel }, { ...known, channels }).terms;
  expect(of(known.channels)).toMatchObject({ share: 0.029, fixed: 30 });
  const kept = known.channels.map((c) =>
    c.channel === 'own site'
      ? { ...c, keptOn: '2026-11-02', terms: { ...c.terms, advertising: 0.05 } }
      : c,
  );
  expect(of(kept).share).toBeCloseTo(0.079, 9);
  expect(of(known.channels, 'marketplace').share).toBeCloseTo(0.105, 9);
  expect(of(known.channels, 'marketplace').fixed).toBe(70);
});

it('a test print first is told with what it saves or costs', () => {
  const [, studio] = manyShown(asked, known).routes;
  const shown = { ...manyShown(asked, known), routes: [studio!] };
  expect(testWords(shown, format)).toMatch(/One first, then the rest/);
});

it('the months are gone through with the best batch, quarters of it, and singles', () => {
  const shown = manyShown(asked, known);
  const wish = simulationWish(shown, asked, 9)!;
  const best = shown.routes[0]!.best.quantity;
  expect(wish.policies.map((p) => p.first)).toEqual([
    0,
    Math.ceil(best / 4),
    best,
    Math.ceil(best / 2),
  ]);
  expect(wish).toMatchObject({ most: 9, months: 12, lead: 0 });
  expect(simulationWish({ ...shown, routes: [] }, asked, null)).toBeNull();
});

it('numbers that are printed and stand are not printed again', () => {
  const of = (size: number, states: string[]) =>
    numbersLeft({
      declaration: { size },
      impressions: states.map((state, i) => ({ series: 'number', number: i + 1, state })),
    } as never);
  expect(of(10, ['numbered', 'sold', 'spoiled', 'damaged', 'ordered'])).toBe(7);
  expect(of(0, [])).toBeNull();
  expect(numbersLeft(undefined)).toBeNull();
});

it('a second batch makes the first no larger; storing and damage make it smaller', () => {
  const guessed = { ...known, sold: [] };
  const of = (over: Partial<ManyAsked>) =>
    manyShown(
      { ...asked, low: 5, likely: 20, high: 60, wantedFrom: 'guesses', ...over },
      guessed,
    ).routes[0]!.best;
  const alone = of({});
  const again = of({ missing: 'again' });
  expect(again.quantity).toBeLessThanOrEqual(alone.quantity);
  expect(again.expectedProfit).toBeGreaterThanOrEqual(alone.expectedProfit);
  const stored = of({ storage: minor(60), damaged: 0.1 });
  expect(stored.quantity).toBeLessThan(alone.quantity);
  expect(stored.expectedProfit).toBeLessThan(alone.expectedProfit);
});

it('what was paid once with the first prints is in no later batch', () => {
  const of = (once: 'counted' | 'paid') => manyShown({ ...asked, once }, known).routes[0]!;
  const [counted, paid] = [of('counted'), of('paid')];
  expect(paid.best.expectedProfit - counted.best.expectedProfit).toBeCloseTo(4500, 6);
  expect(paid.best.quantity).toBe(counted.best.quantity);
  expect(paid.sold!).toBeLessThan(counted.sold!);
});

it('the best batch is paid by as many sales on each channel as that channel leaves it', () => {
  const { perChannel, routes } = manyShown(asked, known);
  const [{ best }] = routes as [(typeof routes)[number]];
  expect(perChannel.map((c) => c.channel)).toEqual(CHANNELS.map((c) => c.id));
  for (const { channel, sold } of perChannel) {
    const terms = termsFor({ ...asked, channel: channel }, known);
    const left = terms.price * (1 - terms.share) - terms.fixed;
    const cost = best.total + terms.perPrint * best.quantity + terms.once;
    const fewest = Math.ceil(cost / left - 1e-9);
    expect([channel, sold]).toEqual([channel, fewest > best.quantity ? null : fewest]);
  }
});

it('channels that are paid alike are said together, those that never are last', () => {
  const perChannel = [
    { channel: 'gallery', sold: null },
    { channel: 'own site', sold: 3 },
    { channel: 'fair', sold: 4 },
    { channel: 'private', sold: 3 },
  ];
  expect(perChannelWords({ perChannel })).toBe(
    'The best batch is paid by 3 sold through own site, private; by 4 sold through fair; never through gallery.',
  );
  expect(perChannelWords({ perChannel: [] })).toBe('');
});
