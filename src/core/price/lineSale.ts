import { minor } from '../units';
import type { Minor } from '../units';
import { usualFees } from './channels';
import type { ChannelFees } from './channels';
import { feesAt } from './price';

/** A price that was kept for a size of a work. */
export interface KeptPrice {
  channel: string;
  currency: string;
  /** Cost of one impression. */
  cost: Minor;
  fees: ChannelFees;
}

/** What one line of an order leaves, apart from its postage. */
export interface LineSale {
  /** Cost of its impressions; null where none was reckoned in its currency. */
  cost: Minor | null;
  /** What the order's channel takes; null where nothing is known of that channel. */
  fees: Minor | null;
  /** Whether the fees are those of a price kept for this channel, or its usual ones. */
  basis: 'kept' | 'usual' | 'unknown';
}

/**
 * Cost and fees of a line, by the channel through which its order came. `kept`: the prices
 * kept for that size of that work until then, oldest first; the newest of the channel gives
 * its fees, the newest of any channel the cost.
 * @example lineSale({ price: minor(8500), currency: 'EUR', copies: 1, channel: 'fair' }, []) // { cost: null, fees: 149, basis: 'usual' }
 */
export function lineSale(
  line: { price: Minor; currency: string; copies: number; channel: string },
  kept: readonly KeptPrice[],
): LineSale {
  const own = kept.filter((k) => k.currency === line.currency);
  const cost = own.at(-1)?.cost;
  const ofChannel = own.filter((k) => k.channel === line.channel).at(-1);
  const fees = ofChannel?.fees ?? usualFees(line.channel, line.currency);
  return {
    cost: cost === undefined ? null : minor(cost * line.copies),
    fees: fees && feesAt(line.price, fees),
    basis: ofChannel ? 'kept' : fees ? 'usual' : 'unknown',
  };
}
