import fc from 'fast-check';
import { minor } from '../../units';
import { CHANNELS, usualTerms } from '../channels';
import { PRICE_LADDER, editionSteps, priceLadder, stepOf } from '.';
import type { LadderItem, LadderTerms } from '.';

const item = (id: string, width: number, height: number, over = {}): LadderItem => ({
  id,
  width,
  height,
  paper: '',
  framed: false,
  edition: null,
  sold: 0,
  cost: 1000,
  byHand: null,
  ...over,
});

const terms: LadderTerms = {
  rule: { by: 'area', through: { width: 300, height: 400, price: 6500 }, and: null },
  limitedTimes: 1,
  framedMore: 0,
  framedTimes: 0,
  papers: [],
  steps: null,
  rounding: { step: minor(100), less: minor(0) },
  ceiling: null,
  near: { size: 0.15, price: 0.1 },
};

const prices = (items: LadderItem[], over: Partial<LadderTerms> = {}) =>
  priceLadder(items, { ...terms, ...over }, []).rows.map((r) => r.price);

const sizes = [item('s', 200, 300), item('m', 300, 400), item('l', 600, 800)];

it('follows area, length + width, the original, a margin, or the hand', () => {
  expect(prices(sizes)).toEqual([3300, 6500, 26_000]);
  const through = { width: 300, height: 400, price: 7000 };
  expect(prices(sizes, { rule: { by: 'lengthPlusWidth', through, and: null } })).toEqual([
    5000, 7000, 14_000,
  ]);
  const and = { width: 600, height: 800, price: 16_000 };
  // 9000 over 360 000 mm2: a fortieth of a cent each.
  expect(prices(sizes, { rule: { by: 'area', through, and } })).toEqual([
    5500, 7000, 16_000,
  ]);
  const original = { width: 600, height: 800, price: 90_000 };
  expect(
    prices(sizes, {
      rule: { by: 'shareOfOriginal', original, share: 1 / 3, along: 'area' },
    }),
  ).toEqual([3800, 7500, 30_000]);
  const fees = { commission: 0.1, payment: 0.03, fixed: minor(30) };
  expect(prices(sizes, { rule: { by: 'margin', margin: 0.4, fees } })).toEqual([
    2200, 2200, 2200,
  ]);
  expect(
    prices([item('a', 1, 1, { byHand: 4250 }), item('b', 1, 1)], { rule: { by: 'hand' } }),
  ).toEqual([4300, null]);
});

it('limited above open, framed above that, .95 at the end', () => {
  const items = [
    item('open', 300, 400),
    item('limited', 300, 400, { edition: 30 }),
    item('framed', 300, 400, { edition: 30, framed: true }),
  ];
  const over = {
    limitedTimes: 1.5,
    framedMore: 9000,
    rounding: { step: minor(100), less: minor(5) },
  };
  expect(prices(items, over)).toEqual([6595, 9795, 18_795]);
});

it('an edition of 30 steps after 8, 15 and 23 of it', () => {
  const steps = { every: 0.25, by: 0.15 };
  const row = (sold: number) =>
    priceLadder([item('e', 300, 400, { edition: 30, sold })], { ...terms, steps }, [])
      .rows[0]!;
  expect(row(0).steps.map((s) => s.from)).toEqual([1, 9, 16, 24]);
  expect(row(7).price).toBe(6500);
  expect(row(8).price).toBe(7500);
  expect(row(30).price).toBeNull();
  expect(row(0).last).toBe(Math.ceil((6500 * 1.15 ** 3) / 100) * 100);
  const { gross, net } = row(0).earns!;
  expect(gross).toBe(8 * 6500 + 7 * 7500 + 8 * 8600 + 7 * 9900);
  expect(net).toBe(gross - 30 * 1000);
});

it('steps are where counting every print finds them', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 300 }),
      fc.integer({ min: 10, max: 1000 }).map((n) => n / 1000),
      (edition, every) => {
        const steps = { every, by: 0.1 };
        const found = editionSteps(edition, steps);
        for (let nth = 1; nth <= edition; nth++)
          expect(found.findLast((s) => s.from <= nth)!.step).toBe(
            stepOf(nth, edition, steps),
          );
      },
    ),
  );
});

const warned = (items: LadderItem[], over: Partial<LadderTerms> = {}) =>
  priceLadder(items, { ...terms, rule: { by: 'hand' }, ...over }, []).warnings;

it('says what is odd: larger for less, limited under open, too near, no price, a ceiling', () => {
  const small = item('small', 300, 400, { byHand: 8000 });
  const large = item('large', 400, 500, { byHand: 7000 });
  expect(warned([small, large])).toEqual([
    { what: 'largerCheaper', of: 'large', against: 'small' },
  ]);
  const limited = item('limited', 300, 400, { byHand: 8000, edition: 20 });
  expect(warned([small, limited])).toEqual([
    { what: 'limitedUnderOpen', of: 'limited', against: 'small' },
  ]);
  const near = item('near', 310, 420, { byHand: 8500 });
  expect(warned([small, near])).toEqual([
    { what: 'compete', of: 'near', against: 'small' },
  ]);
  expect(warned([small, { ...large, paper: 'another' }])).toEqual([]);
  expect(warned([item('none', 100, 100)])).toEqual([{ what: 'noPrice', of: 'none' }]);
  const ceiling = priceLadder(sizes, { ...terms, ceiling: 20_050 }, []);
  expect(ceiling.rows[2]!.price).toBe(20_000);
  expect(ceiling.warnings).toEqual([{ what: 'ceiling', of: 'l', wanted: 26_000 }]);
});

it('says on which channel a price is under its cost, and earns through the first', () => {
  const expected = { perMonth: 0, perDay: 0, monthsListed: 0, hour: 0 };
  const channels = ['private', 'gallery'].map((channel) => ({
    channel,
    terms: usualTerms(
      CHANNELS.find((c) => c.id === channel)!,
      'EUR',
    ),
    expected,
  }));
  const { rows, warnings } = priceLadder(
    [item('m', 300, 400, { cost: 5000, edition: 10 })],
    terms,
    channels,
  );
  expect(warnings).toEqual([
    { what: 'underCost', of: 'm', channel: 'gallery', short: 5000 - 3900 },
  ]);
  expect(rows[0]!.sales.map((s) => s.sale.net)).toEqual([1500, -1100]);
  expect(rows[0]!.earns).toEqual({ gross: 65_000, net: 15_000 });
});

it('a paper makes a print so many times dearer; a frame adds to it, and does not step', () => {
  const of = (id: string, over: Partial<LadderItem>): LadderItem => ({
    ...{ id, width: 300, height: 400, paper: '', framed: false, edition: 4, sold: 2 },
    ...{ cost: 2000, byHand: null },
    ...over,
  });
  const rule = {
    by: 'area' as const,
    through: { width: 300, height: 400, price: 10_000 },
    and: null,
  };
  const terms = {
    rule,
    ...{ limitedTimes: 1.5, framedMore: 500, framedTimes: 2, ceiling: null },
    papers: [{ paper: 'Chalk Rag', times: 1.2 }],
    steps: { every: 0.5, by: 0.1 },
    rounding: { step: minor(1), less: minor(0) },
    near: { size: 0.15, price: 0.1 },
  };
  const items = [
    of('plain', {}),
    of('framed', { framed: true, framing: 3000 }),
    of('rag', { paper: 'Chalk Rag' }),
    of('both', { paper: 'Chalk Rag', framed: true, framing: 3000 }),
    of('other', { paper: 'Linen' }),
  ];
  const { rows } = priceLadder(items, terms, []);
  expect(rows.map((r) => [r.id, r.price])).toEqual([
    ['plain', 16_500],
    ['framed', 16_500 + 500 + 6000],
    ['rag', 19_800],
    ['both', 19_800 + 500 + 6000],
    ['other', 16_500],
  ]);
  expect(rows[1]!.steps.map((s) => s.price)).toEqual([15_000 + 6500, 16_500 + 6500]);
});

it('a ladder that was kept before papers and frames is one without them', () => {
  const {
    framedTimes: _,
    papers: __,
    ...old
  } = {
    rule: { by: 'hand' as const },
    ...{ limitedTimes: 1, framedMore: 0, framedTimes: 0, papers: [] },
    ...{ steps: null, ceiling: null },
    rounding: { step: minor(1), less: minor(0) },
    near: { size: 0.15, price: 0.1 },
  };
  expect(PRICE_LADDER.read({ version: 0, ...old })).toEqual({
    ...old,
    framedTimes: 0,
    papers: [],
  });
  expect(() => PRICE_LADDER.read({ version: 1, ...old })).toThrow();
});
