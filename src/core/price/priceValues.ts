import { defineVersioned, numbersIn } from '../facts';
import { moneyTypedBefore, numberTypedBefore } from '../input/typedBefore';
import { minor } from '../units';
import type { Minor } from '../units';
import { costOfImpression } from './cost';
import type { CostBreakdown, CostInput } from './cost';
import { priceForMargin, saleAt } from './price';
import type { ChannelFees } from './channels';
import type { SaleFigures } from './price';

/** Everything that a price is reckoned from; money in minor units, shares 0..1. */
export interface PriceValues extends Required<CostInput>, ChannelFees {
  channel: string;
  /** Share of the price that is to stay. */
  margin: number;
  /** The price is rounded up to a multiple of this. */
  step: Minor;
  /** The price as it was set, whatever margin it leaves; null: that of the margin. */
  asked: Minor | null;
}

const MONEY = [
  'printing',
  'paper',
  'capture',
  'proofs',
  'finishing',
  'packing',
  'postage',
  'hourlyRate',
  'fixed',
  'step',
] as const;
/** Said apart since the third version. */
const APART = [
  'wear',
  'donation',
  'signingHours',
  'finishingHours',
  'packingHours',
] as const;
const SHARES = ['spoilage', 'commission', 'payment', 'margin'] as const;
const NUMBERS = ['expectedImpressions', 'hours'] as const;

/** Text as it was typed, with the currency that held then, as values. */
function fromTyped({
  typedIn,
  ...typed
}: Record<string, unknown>): Record<string, unknown> {
  const currency = typeof typedIn === 'string' ? typedIn : 'EUR';
  const text = (name: string) => {
    const given = typed[name];
    return typeof given === 'string'
      ? given
      : typeof given === 'number'
        ? String(given)
        : '';
  };
  return {
    channel: text('channel'),
    ...Object.fromEntries(MONEY.map((n) => [n, moneyTypedBefore(text(n), currency) ?? 0])),
    ...Object.fromEntries(
      SHARES.map((n) => [n, (numberTypedBefore(text(n).replace('%', '')) ?? 0) / 100]),
    ),
    ...Object.fromEntries(NUMBERS.map((n) => [n, numberTypedBefore(text(n)) ?? 0])),
  };
}

/** What a kept price was reckoned from, as it is stored. */
export const PRICE_VALUES = defineVersioned<PriceValues>({
  name: 'price',
  // Version 0: text as it was typed. Version 1: every price was that of its margin. Version 2: all
  // hours were one figure, and neither wear nor gifts were told apart.
  upgrades: [
    fromTyped,
    (old) => ({ ...old, asked: null }),
    (old) => ({ ...Object.fromEntries(APART.map((n) => [n, 0])), ...old }),
  ],
  holds: (v) =>
    typeof v.channel === 'string' &&
    numbersIn(v, ...MONEY, ...SHARES, ...NUMBERS, ...APART) &&
    (v.asked === null || numbersIn(v, 'asked')),
});

/** The fees among the values. */
export const feesOf = ({ commission, payment, fixed }: ChannelFees): ChannelFees => ({
  commission,
  payment,
  fixed,
});

/**
 * The price of one impression and what stays of it: as it was set, else that of the margin; `sale`
 * is null when nothing would be left of any price.
 */
export function reckonPrice(v: PriceValues): {
  cost: CostBreakdown;
  sale: SaleFigures | null;
} {
  const cost = costOfImpression(v);
  const fees = feesOf(v);
  const price = v.asked ?? priceForMargin(cost.total, fees, v.margin, v.step);
  return { cost, sale: price === null ? null : saleAt(price, cost.total, fees) };
}

/**
 * Rule of thumb: a print at the original's size at about a third of the original.
 * @example thirdOfOriginal(minor(90_000)) // 30_000
 */
export const thirdOfOriginal = (original: Minor): Minor => minor(original / 3);
