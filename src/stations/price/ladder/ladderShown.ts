import { priceLadder, stepOf } from '@/core/price';
import type {
  Anchor,
  EditionSteps,
  Ladder,
  LadderItem,
  LadderRule,
  LadderTerms,
} from '@/core/price';
import { minor } from '@/core/units';
import type { Minor } from '@/core/units';
import { roundingId, roundingOf } from './ladderForm';
import { VARIANTS, variantsOf } from './variants';
import type { ByHand } from './ladderForm';
import type { LadderAsked, LadderKnown, LadderSize } from './ladderTypes';

/** How near two sizes and prices must be to compete: rules of thumb. */
const NEAR = { size: 0.15, price: 0.1 };
/** Sold on a fair day, months that a piece is listed: rules of thumb. */
const A_DAY = 8;
const LISTED = 6;

/** An edition rises as it sells; null: its price stays. */
const stepsOf = ({ up, every }: LadderAsked): EditionSteps | null =>
  up > 0 ? { every, by: up } : null;

/** How many times its first price the next one of a size costs. */
function risen(asked: LadderAsked, { edition, sold }: LadderSize): number {
  const steps = stepsOf(asked);
  return edition === null || !steps
    ? 1
    : (1 + steps.by) ** stepOf(Math.min(sold + 1, edition), edition, steps);
}

/** Nothing of a price is lost by it, and rounded up again it is the same. */
const notAbove = (price: number) => Math.floor(price * 1e6) / 1e6;

/** How many times what an open one of its size costs at first the next one of a size costs. */
const timesOf = (asked: LadderAsked, size: LadderSize): number =>
  risen(asked, size) * (size.edition === null ? 1 : asked.limitedTimes);

/** What the next one of an anchor's size costs before it is rounded. */
const anchorNow = (asked: LadderAsked, size: LadderSize, anchor: Anchor): Minor =>
  minor(anchor.price * timesOf(asked, size));

/** The anchors of a rule, those that it has. */
const anchorsOf = (terms: LadderTerms | null): Anchor[] =>
  terms && 'through' in terms.rule
    ? [terms.rule.through, ...(terms.rule.and ? [terms.rule.and] : [])]
    : [];

const isOf = (size: LadderSize) => (anchor: Anchor) =>
  anchor.width === size.width && anchor.height === size.height;

/**
 * What is typed is what the next one costs: from it, the price of the first one of an open
 * edition, which all follow. One that was kept and stands as it was stays to the last digit.
 */
function anchorOf(
  asked: LadderAsked,
  { sizes, kept }: LadderKnown,
  key: string,
  price: Minor,
): Anchor | null {
  const size = sizes.find((s) => s.key === key);
  if (!size) return null;
  const before = anchorsOf(kept).find(isOf(size));
  if (before && anchorNow(asked, size, before) === price) return before;
  const first = notAbove(price / timesOf(asked, size));
  return { width: size.width, height: size.height, price: first };
}

const count = (along: 'area' | 'lengthPlusWidth', a: Anchor) =>
  along === 'area' ? a.width * a.height : a.width + a.height;

function ruleOf(asked: LadderAsked, known: LadderKnown): LadderRule {
  const { original, channels } = known;
  switch (asked.by) {
    case 'area':
    case 'lengthPlusWidth': {
      const through = anchorOf(asked, known, asked.throughSize, asked.throughPrice);
      if (!through) return { by: 'hand' };
      const and = anchorOf(asked, known, asked.andSize, asked.andPrice);
      // Two sizes that count as equally large give no line.
      const apart = and && count(asked.by, and) !== count(asked.by, through);
      return { by: asked.by, through, and: apart ? and : null };
    }
    case 'shareOfOriginal':
      return {
        by: asked.by,
        original: { ...original, price: asked.originalPrice },
        share: asked.share,
        along: 'area',
      };
    case 'margin': {
      const site = channels.find((c) => c.channel === 'own site')!;
      return { by: asked.by, margin: asked.margin, fees: site.terms };
    }
    case 'hand':
      return { by: asked.by };
  }
}

/** How the prices are made, as it is kept. */
export const ladderTerms = (asked: LadderAsked, known: LadderKnown): LadderTerms => ({
  rule: ruleOf(asked, known),
  limitedTimes: asked.limitedTimes,
  framedMore: asked.framedMore,
  framedTimes: asked.framedTimes,
  papers:
    asked.otherPaper === '' ? [] : [{ paper: asked.otherPaper, times: asked.otherTimes }],
  steps: stepsOf(asked),
  rounding: roundingOf(asked.rounding, known.currency),
  ceiling: asked.ceiling,
  near: NEAR,
});

const itemOf = (asked: LadderAsked, size: LadderSize, hand: ByHand): LadderItem => {
  const set = hand[size.key] ?? size.kept;
  return { ...plainItem(size), byHand: set && notAbove(set / risen(asked, size)) };
};

const plainItem = (size: LadderSize): LadderItem => ({
  id: size.key,
  width: size.width,
  height: size.height,
  paper: '',
  framed: false,
  edition: size.edition,
  sold: size.sold,
  cost: size.cost,
  byHand: null,
});

/** All sizes with their prices, what each leaves on every channel, and what is odd. */
export function ladderShown(asked: LadderAsked, hand: ByHand, known: LadderKnown): Ladder {
  const unknown = new Set(
    known.sizes.filter((s) => !s.costKnown).flatMap((s) => VARIANTS.map((v) => s.key + v)),
  );
  const { rows, warnings } = priceLadder(
    [
      ...known.sizes.map((s) => itemOf(asked, s, hand)),
      ...known.sizes.flatMap((s) => variantsOf(asked, s, itemOf(asked, s, hand), known)),
    ],
    ladderTerms(asked, known),
    known.channels.map(({ channel, terms }) => ({
      channel,
      terms,
      expected: {
        perMonth: known.pace.find((p) => p.channel === channel)?.perMonth ?? 1,
        perDay: A_DAY,
        monthsListed: LISTED,
        hour: known.hour,
      },
    })),
  );
  // What a price leaves over a cost that is not known cannot be told.
  return {
    rows: rows.map((r) => (unknown.has(r.id) ? { ...r, sales: [], earns: null } : r)),
    warnings: warnings.filter((w) => w.what !== 'underCost' || !unknown.has(w.of)),
  };
}

/** What a ladder begins with: through the size that has a price, a quarter sold 15 % up. */
export function firstLadder(
  { sizes }: Pick<LadderKnown, 'sizes'>,
  { third, step }: { third: Minor | null; step: Minor },
): LadderAsked {
  const priced = sizes.filter((s) => s.kept !== null);
  const [first, last] = [
    priced[0] ?? sizes[0],
    priced.length > 1 ? priced.at(-1) : undefined,
  ];
  return {
    by: priced.length > 0 ? 'area' : 'margin',
    throughSize: first?.key ?? '',
    throughPrice: first?.kept ?? step,
    andSize: last?.key ?? '',
    andPrice: last?.kept ?? minor(0),
    originalPrice: minor(3 * (third ?? 0)),
    share: 1 / 3,
    margin: 0.4,
    limitedTimes: 1,
    every: 0.25,
    up: 0.15,
    otherPaper: '',
    otherTimes: 1.2,
    framedTimes: 2,
    framedMore: minor(0),
    rounding: '1',
    ceiling: null,
  };
}

/** The form of a ladder that was kept: its anchors cost what the next one of them costs by it now. */
export function keptAsked(
  terms: LadderTerms,
  { sizes, currency }: Pick<LadderKnown, 'sizes' | 'currency'>,
  first: LadderAsked,
): LadderAsked {
  const { rule, steps, rounding, limitedTimes, ceiling, papers } = terms;
  const asked: LadderAsked = {
    ...first,
    by: rule.by,
    limitedTimes,
    otherPaper: papers[0]?.paper ?? '',
    otherTimes: papers[0]?.times ?? first.otherTimes,
    framedTimes: terms.framedTimes || first.framedTimes,
    framedMore: minor(terms.framedMore),
    every: steps?.every ?? first.every,
    up: steps?.by ?? 0,
    rounding: roundingId(rounding, currency),
    ceiling: ceiling === null ? null : minor(ceiling),
  };
  if (rule.by === 'area' || rule.by === 'lengthPlusWidth') {
    const [through, and] = anchorsOf(terms).map((anchor) => {
      const size = sizes.find((s) => isOf(s)(anchor));
      return size && { key: size.key, price: anchorNow(asked, size, anchor) };
    });
    return {
      ...asked,
      throughSize: through?.key ?? '',
      throughPrice: through?.price ?? minor(0),
      andSize: and?.key ?? '',
      andPrice: and?.price ?? minor(0),
    };
  }
  if (rule.by === 'shareOfOriginal')
    return { ...asked, originalPrice: minor(rule.original.price), share: rule.share };
  return rule.by === 'margin' ? { ...asked, margin: rule.margin } : asked;
}
