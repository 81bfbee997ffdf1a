import { minor } from '../units';
import type { Minor } from '../units';

/** What a channel takes of each sale. Shares are 0..1 of the price. */
export interface ChannelFees {
  commission: number;
  payment: number;
  fixed: Minor;
}

export interface SaleFigures {
  gross: Minor;
  fees: Minor;
  cost: Minor;
  net: Minor;
  /** Net as a share of the price. */
  margin: number;
}

/**
 * What stays of a sale at that price: net = price - fees - cost.
 * @example saleAt(minor(8500), minor(3200), { commission: 0.1, payment: 0.03, fixed: minor(30) }) // { fees: 1135, net: 4165, margin: 0.49 }
 */
export function saleAt(price: Minor, cost: Minor, fees: ChannelFees): SaleFigures {
  const taken = minor(price * (fees.commission + fees.payment) + fees.fixed);
  const net = minor(price - taken - cost);
  return { gross: price, fees: taken, cost, net, margin: price === 0 ? 0 : net / price };
}

/**
 * Price for a target margin m: P = (cost + fixed fees) / (1 - m - sum of shares), rounded up
 * to `step`. Null when margin and fees together leave nothing of the price.
 * @example priceForMargin(minor(3000), { commission: 0.1, payment: 0.03, fixed: minor(30) }, 0.4, minor(100)) // 6500
 */
export function priceForMargin(
  cost: Minor,
  fees: ChannelFees,
  margin: number,
  step: Minor,
): Minor | null {
  const left = 1 - margin - fees.commission - fees.payment;
  if (left <= 1e-9) return null;
  const exact = (cost + fees.fixed) / left;
  return minor(Math.ceil(exact / step - 1e-9) * step);
}

/**
 * Impressions to sell until a batch is paid: ceil(batch cost / (price - fees per sale));
 * null when a sale does not even cover its fees.
 * @example breakEven(minor(40_000), minor(8500), { commission: 0.1, payment: 0.03, fixed: minor(30) }) // 6
 */
export function breakEven(
  batchCost: Minor,
  price: Minor,
  fees: ChannelFees,
): number | null {
  const perSale = price * (1 - fees.commission - fees.payment) - fees.fixed;
  return perSale <= 0 ? null : Math.ceil(batchCost / perSale);
}
