import { minor } from '../units';
import type { Minor } from '../units';
import type { ChannelFees } from './channels';
import { add, exactly, multiply, nearestWhole, signOf, subtract } from './exact';
import type { Fraction } from './exact';
import { roundedUp } from './rounding';

export interface SaleFigures {
  gross: Minor;
  fees: Minor;
  cost: Minor;
  net: Minor;
  /** Net as a share of the price. */
  margin: number;
}

/** The shares of a channel, exactly. */
const shareOf = ({ commission, payment }: ChannelFees): Fraction =>
  add(exactly(commission), exactly(payment));

/**
 * Fees of a sale at a price: shares of it and the fixed fee, minor units, halves up.
 * @example feesAt(minor(10_000), { commission: 0.05, payment: 0.03, fixed: minor(25) }) // 825
 */
export const feesAt = (price: Minor, fees: ChannelFees): Minor =>
  minor(nearestWhole(add(multiply(exactly(price), shareOf(fees)), exactly(fees.fixed))));

/**
 * What stays of a sale at that price: net = price - fees - cost.
 * @example saleAt(minor(8500), minor(3200), { commission: 0.1, payment: 0.03, fixed: minor(30) }) // { fees: 1135, net: 4165, margin: 0.49 }
 */
export function saleAt(price: Minor, cost: Minor, fees: ChannelFees): SaleFigures {
  const taken = feesAt(price, fees);
  const net = minor(price - taken - cost);
  return { gross: price, fees: taken, cost, net, margin: price === 0 ? 0 : net / price };
}

/** Price for a target margin m, exactly: (cost + fixed fees) / (1 - m - sum of shares); null where nothing is left. */
export function priceForMarginExactly(
  cost: number,
  fees: ChannelFees,
  margin: number,
): Fraction | null {
  const left = subtract(subtract(exactly(1), exactly(margin)), shareOf(fees));
  if (signOf(left) <= 0) return null;
  return { n: BigInt(cost + fees.fixed) * left.d, d: left.n };
}

/**
 * Price for a target margin, rounded up to `step`. Null when margin and fees together leave
 * nothing of the price.
 * @example priceForMargin(minor(3000), { commission: 0.1, payment: 0.03, fixed: minor(30) }, 0.4, minor(100)) // 6500
 */
export function priceForMargin(
  cost: Minor,
  fees: ChannelFees,
  margin: number,
  step: Minor,
): Minor | null {
  const exact = priceForMarginExactly(cost, fees, margin);
  return exact && roundedUp(exact, { step, less: minor(0) });
}
