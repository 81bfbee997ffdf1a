import { add, exactly, multiply, subtract } from '../exact';
import type { Fraction } from '../exact';
import { priceForMarginExactly } from '../price';
import type { ChannelFees } from '../channels';
import type { LadderItem } from './types';

/** A size and what is asked there: the ladder goes through it. mm, minor units. */
export interface Anchor {
  width: number;
  height: number;
  price: number;
}

/** What the prices of a ladder follow. */
export type LadderRule =
  | { by: 'area' | 'lengthPlusWidth'; through: Anchor; and: Anchor | null }
  /** What the original costs, its size, and the share of it that a print at its size costs. */
  | {
      by: 'shareOfOriginal';
      original: Anchor;
      share: number;
      along: 'area' | 'lengthPlusWidth';
    }
  | { by: 'margin'; margin: number; fees: ChannelFees }
  | { by: 'hand' };

export const LADDER_RULES = [
  'area',
  'lengthPlusWidth',
  'shareOfOriginal',
  'margin',
  'hand',
] as const satisfies readonly LadderRule['by'][];

type Along = 'area' | 'lengthPlusWidth';

/** How large a size counts: mm2 or mm. */
export function sizeAlong(along: Along, size: { width: number; height: number }): Fraction {
  const [w, h] = [exactly(size.width), exactly(size.height)];
  return along === 'area' ? multiply(w, h) : add(w, h);
}

/** a / b; b is not 0. */
const divide = (a: Fraction, b: Fraction): Fraction => {
  const sign = b.n < 0n ? -1n : 1n;
  return { n: sign * a.n * b.d, d: sign * a.d * b.n };
};

/** Through one anchor in proportion; through two along the straight line between them. */
function onLine(
  along: Along,
  item: { width: number; height: number },
  through: Anchor,
  and: Anchor | null,
): Fraction {
  const [x, a] = [sizeAlong(along, item), sizeAlong(along, through)];
  if (!and) return divide(multiply(exactly(through.price), x), a);
  const b = sizeAlong(along, and);
  const slope = divide(exactly(and.price - through.price), subtract(b, a));
  return add(exactly(through.price), multiply(slope, subtract(x, a)));
}

/** What a rule gives for an item before anything is added or rounded; null where it gives none. */
export function rulePrice(rule: LadderRule, item: LadderItem): Fraction | null {
  switch (rule.by) {
    case 'area':
    case 'lengthPlusWidth':
      return onLine(rule.by, item, rule.through, rule.and);
    case 'shareOfOriginal': {
      const at = multiply(exactly(rule.original.price), exactly(rule.share));
      const size = sizeAlong(rule.along, rule.original);
      return divide(multiply(at, sizeAlong(rule.along, item)), size);
    }
    case 'margin':
      return priceForMarginExactly(item.cost, rule.fees, rule.margin);
    case 'hand':
      return item.byHand === null ? null : exactly(item.byHand);
  }
}
