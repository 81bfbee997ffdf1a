import { currencyDigits, minor } from '../../units';
import type { Minor } from '../../units';
import type { Channel } from './channel';

/** What a channel takes of each sale. Shares are 0..1 of the price. */
export interface ChannelFees {
  commission: number;
  payment: number;
  fixed: Minor;
}

/** All that a channel asks, of a sale and beside it. Money in minor units, shares 0..1. */
export interface ChannelTerms extends ChannelFees {
  advertising: number;
  /** Paid for each piece that is listed, again after `listingMonths` until it is sold. */
  listing: Minor;
  listingMonths: number;
  perMonth: Minor;
  /** Of a day that it is held: stall and travel; hours of work. */
  day: Minor;
  dayHours: number;
  /** What it costs the studio to frame a piece for it. */
  framing: Minor;
  saleOrReturn: boolean;
  daysUntilPaid: number;
  /** The channel prints and sends for its base price, which is then the cost; null: it does not. */
  basePrice: Minor | null;
}

/** Hundredths of a currency's main unit in its minor units: 450 are 4.50, 5 yen, 4.500. */
export const inMinor = (hundredths: number, currency: string): Minor =>
  minor((hundredths / 100) * 10 ** currencyDigits(currency));

/** What a channel usually asks, in a currency. */
export function usualTerms(channel: Channel, currency: string): ChannelTerms {
  const of = (hundredths = 0) => inMinor(hundredths, currency);
  const { commission, payment, fixedHundredths, advertising, listing, day } = channel;
  return {
    commission,
    payment,
    fixed: of(fixedHundredths),
    advertising: advertising ?? 0,
    listing: of(listing?.hundredths),
    listingMonths: listing?.months ?? 1,
    perMonth: of(channel.perMonthHundredths),
    day: of(day?.hundredths),
    dayHours: day?.hours ?? 0,
    framing: of(),
    saleOrReturn: channel.saleOrReturn ?? false,
    daysUntilPaid: channel.daysUntilPaid ?? 0,
    basePrice: null,
  };
}
