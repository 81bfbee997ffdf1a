import { minor } from '../units';
import type { Minor } from '../units';
import { CHANNELS, feesOfLine, usualFees } from './channels';
import type { ChannelFees, ChannelTerms } from './channels';
import { feesAt } from './price';

/** A price that was kept for a size of a work. */
export interface KeptPrice {
  channel: string;
  currency: string;
  /** Cost of one impression. */
  cost: Minor;
  fees: ChannelFees;
  /** When it was kept. */
  at: string;
}

/** What was kept of a channel, and when. */
export interface KeptTerms {
  terms: ChannelTerms;
  at: string;
}

/** What one line of an order leaves, apart from its postage. */
export interface LineSale {
  /** Cost of its impressions; null where none was reckoned in its currency. */
  cost: Minor | null;
  /** What the order's channel takes; null where nothing is known of that channel. */
  fees: Minor | null;
  /** Whether the fees are what was kept of this channel, or its usual ones. */
  basis: 'kept' | 'usual' | 'unknown';
}

/**
 * Cost and fees of a line, by the channel through which its order came. `terms`: what the studio
 * kept of that channel until then, in the line's currency. `kept`: the prices kept for that size
 * of that work until then, oldest first. Of the terms and the newest price of the channel the
 * later gives its fees; the newest price of any channel gives the cost, but of a channel that
 * prints itself only its own.
 * @example lineSale({ price: minor(8500), currency: 'EUR', copies: 1, channel: 'fair' }, []) // { cost: null, fees: 149, basis: 'usual' }
 */
export function lineSale(
  line: { price: Minor; currency: string; copies: number; channel: string },
  kept: readonly KeptPrice[],
  terms: KeptTerms | null = null,
): LineSale {
  const own = kept.filter((k) => k.currency === line.currency);
  const ofChannel = own.filter((k) => k.channel === line.channel).at(-1);
  const makes = CHANNELS.some((c) => c.id === line.channel && c.makes);
  const cost = (makes ? ofChannel : own.at(-1))?.cost;
  const fees = ofChannel?.fees ?? usualFees(line.channel, line.currency);
  const byTerms = terms !== null && !(ofChannel && ofChannel.at > terms.at);
  return {
    cost: cost === undefined ? null : minor(cost * line.copies),
    fees: byTerms ? feesOfLine(line, terms.terms) : fees && feesAt(line.price, fees),
    basis: byTerms || ofChannel ? 'kept' : fees ? 'usual' : 'unknown',
  };
}
