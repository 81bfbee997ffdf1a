import { CHANNELS, startPrice, usualTerms } from '@/core/price';
import type { LadderTerms } from '@/core/price';
import { minor } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { roundingId, roundingOf } from './ladderForm';
import { firstLadder, keptAsked, ladderShown, ladderTerms } from './ladderShown';
import type { LadderAsked, LadderKnown, LadderSize } from './ladderTypes';
import {
  keptInWords,
  stepsWords,
  variantFacts,
  variantWords,
  warningWords,
} from './ladderWords';

const format = formatOf({ units: 'metric', currency: 'EUR', locale: 'en-GB' } as never);
const values = startPrice({
  currency: 'EUR',
  ...{ printing: minor(900), paper: minor(640), capture: null, proofs: null },
  editionSize: null,
});
const size = (key: string, width: number, height: number, over = {}): LadderSize => ({
  key,
  label: `${width / 10} × ${height / 10} cm`,
  width,
  height,
  edition: null,
  sold: 0,
  cost: 2000,
  costKnown: true,
  values,
  kept: null,
  framing: null,
  ...over,
});
const known = (sizes: LadderSize[], terms: LadderTerms | null = null): LadderKnown => ({
  sizes,
  kept: terms,
  channels: CHANNELS.filter((c) => !c.makes).map((c) => ({
    channel: c.id,
    terms: usualTerms(c, 'EUR'),
    keptOn: null,
  })),
  original: { width: 600, height: 800 },
  currency: 'EUR',
  hour: minor(2400),
  pace: [],
  papers: [],
  paper: null,
});
const SIZES = [
  size('a', 300, 400, { kept: minor(6500) }),
  size('b', 500, 700, { edition: 30, sold: 9, kept: minor(9200) }),
  size('c', 700, 1000),
];
const first = (over: Partial<LadderAsked> = {}): LadderAsked => ({
  ...firstLadder(known(SIZES), { third: minor(30_000), step: minor(100) }),
  ...over,
});
const prices = (asked: LadderAsked, sizes = SIZES, terms: LadderTerms | null = null) =>
  ladderShown(asked, {}, known(sizes, terms)).rows.map((r) => r.price);

it('what is kept is what it begins with: the next one costs what it costs now', () => {
  expect(first()).toMatchObject({ by: 'area', throughSize: 'a', andSize: 'b' });
  // Nine of thirty are sold: the second quarter has begun.
  expect(prices(first()).slice(0, 2)).toEqual([6500, 9200]);
  const { steps } = ladderShown(first(), {}, known(SIZES)).rows[1]!;
  expect(steps.map((s) => s.from)).toEqual([1, 9, 16, 24]);
  expect(steps[0]!.price).toBe(8000);
});

it('a limited one is as many times dearer, an anchor that is limited stays what it is', () => {
  const shown = prices(first({ limitedTimes: 1.25, andSize: '' }));
  expect(shown[0]).toBe(6500);
  const through = prices(
    first({ throughSize: 'b', throughPrice: minor(9300), andSize: '', limitedTimes: 1.25 }),
  );
  expect(through[1]).toBe(9300);
});

it('moves at once with its rule: by hand, by margin, by the original', () => {
  const byHand = ladderShown(first({ by: 'hand' }), { c: 21_000 }, known(SIZES));
  expect(byHand.rows.map((r) => r.price)).toEqual([6500, 9200, 21_000]);
  expect(
    prices(
      first({ by: 'shareOfOriginal', originalPrice: minor(90_000), share: 1 / 3, up: 0 }),
    ),
  ).toEqual([7500, 21_900, 43_800]);
  const margin = prices(first({ by: 'margin', margin: 0.5, up: 0 }));
  expect(new Set(margin).size).toBe(1);
});

it.each(['area', 'lengthPlusWidth', 'shareOfOriginal', 'margin', 'hand'] as const)(
  'kept by %s, it asks the same when it is opened again, and when more is sold',
  (by) => {
    const asked = first({
      by,
      originalPrice: minor(90_000),
      rounding: '.95',
      ceiling: minor(50_000),
    });
    const kept = (sizes: LadderSize[]) =>
      sizes.map((s, i) => ({ ...s, kept: prices(asked)[i] ?? null }));
    const terms = ladderTerms(asked, known(SIZES));
    const again = keptAsked(terms, known(SIZES), first());
    expect(prices(again, kept(SIZES), terms)).toEqual(prices(asked));
    expect(again).toMatchObject({ by, rounding: '.95', ceiling: 50_000 });
    if (by === 'hand') return;
    // Sixteen are sold: the third quarter has begun, the others stay.
    const later = kept(SIZES).map((s) => (s.key === 'b' ? { ...s, sold: 16 } : s));
    const then = prices(keptAsked(terms, known(later), first()), later, terms);
    expect([then[0], then[2]]).toEqual([prices(asked)[0], prices(asked)[2]]);
    expect(then[1]! / prices(asked)[1]!).toBeCloseTo(1.15, 1);
  },
);

it('of a cost that is not known, nothing is said', () => {
  const sizes = [size('a', 300, 400, { kept: minor(100), costKnown: false, edition: 10 })];
  const { rows, warnings } = ladderShown(first({ by: 'hand' }), {}, known(sizes));
  expect(rows[0]).toMatchObject({ price: 100, sales: [], earns: null });
  expect(warnings).toEqual([]);
});

it('says what is odd, how it rises, and what is kept', () => {
  const dear = [SIZES[0]!, { ...SIZES[1]!, kept: minor(6000) }];
  const { rows, warnings } = ladderShown(first({ by: 'hand', up: 0 }), {}, known(dear));
  expect(warnings.map((w) => warningWords(w, dear, format))).toContain(
    '50 × 70 cm is limited, and costs no more than 30 × 40 cm, which is open.',
  );
  expect(stepsWords(rows[0]!, dear[0]!, format)).toMatch(/^Open/);
  expect(stepsWords(rows[1]!, dear[1]!, format)).toMatch(/steps no more/);
  const rising = ladderShown(first(), {}, known(SIZES)).rows[1]!;
  expect(stepsWords(rising, SIZES[1]!, format)).toMatch(
    /^After number 15 the price steps from €92\.00 to €106\.00\. Sold out, the edition brings/,
  );
  expect(keptInWords(SIZES[1]!, format)).toBe('kept €92.00; 9 sold, number 10 is next');
  expect(keptInWords(SIZES[2]!, format)).toBe('no price kept yet');
  for (const warning of [
    { what: 'largerCheaper', of: 'b', against: 'a' },
    { what: 'compete', of: 'b', against: 'a' },
    { what: 'underCost', of: 'b', channel: 'gallery', short: 100 },
    { what: 'ceiling', of: 'b', wanted: 100 },
    { what: 'noPrice', of: 'b' },
  ] as const)
    expect(warningWords(warning, SIZES, format)).toContain('50 × 70 cm');
});

it.each(['EUR', 'JPY', 'KWD'])('roundings of %s are told from each other', (currency) => {
  for (const id of ['1', '5', '10'] as const)
    expect(roundingId(roundingOf(id, currency), currency)).toBe(id);
  expect(roundingOf('.95', currency).less).toBe({ EUR: 5, JPY: 0, KWD: 50 }[currency]);
});

it('a size is sold framed where Finish says what that costs, and on the other paper', () => {
  const sizes = [size('a', 300, 400, { kept: minor(10_000), framing: 3000 })];
  const paper = { name: 'Linen', price: 800, sheetWidth: 600, sheetHeight: 800 };
  const over = {
    papers: [{ ...paper, name: 'Chalk Rag', price: 1600 }],
    paper,
  };
  const rows = (asked: LadderAsked) =>
    ladderShown(asked, {}, { ...known(sizes), ...over }).rows;
  const plain = first({ throughPrice: minor(10_000), andSize: '', up: 0 });
  expect(rows(plain).map((r) => [r.id, r.price])).toEqual([
    ['a', 10_000],
    ['a|framed', 16_000],
  ]);
  const both = {
    ...plain,
    otherPaper: 'Chalk Rag',
    otherTimes: 1.5,
    framedMore: minor(100),
  };
  const found = rows(both);
  expect(found.map((r) => [r.id, r.price])).toEqual([
    ['a', 10_000],
    ['a|framed', 16_100],
    ['a|paper', 15_000],
    ['a|paper|framed', 21_100],
  ]);
  // A quarter of a sheet that costs 8.00 more, and what is spoiled of it.
  const cost = (i: number) => found[i]!.sales[0]!.sale.cost;
  expect(cost(2) - cost(0)).toBe(Math.round(200 / (1 - values.spoilage)));
  expect(cost(3) - cost(2)).toBe(3000);
  // By hand it follows what was typed for the plain one.
  expect(rows({ ...both, by: 'hand' }).map((r) => r.price)).toEqual([
    10_000, 16_100, 15_000, 21_100,
  ]);
  expect(variantFacts({ rows: found }, 'a', both, format).map(([name]) => name)).toEqual([
    'framed',
    'on Chalk Rag',
    'on Chalk Rag, framed',
  ]);
  expect(variantWords('a|paper|framed', sizes)).toBe(
    '30 × 40 cm on the other paper, framed',
  );
  const kept = ladderTerms(both, { ...known(sizes), ...over });
  expect(keptAsked(kept, known(sizes), first())).toMatchObject({
    ...{ otherPaper: 'Chalk Rag', otherTimes: 1.5, framedTimes: 2, framedMore: 100 },
  });
});
