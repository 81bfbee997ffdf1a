import { defineVersioned, numbersIn } from '../../facts';
import { add, exactly, multiply, nearestWhole, signOf, subtract } from '../exact';
import { minor } from '../../units';
import type { Minor } from '../../units';
import type { ChannelTerms } from './terms';

/** What a channel asks, as the studio kept it. */
export const CHANNEL_TERMS = defineVersioned<ChannelTerms>({
  name: 'channel',
  upgrades: [],
  holds: (v) =>
    numbersIn(
      v,
      'commission',
      'payment',
      'advertising',
      'fixed',
      'listing',
      'listingMonths',
      'perMonth',
      'day',
      'dayHours',
      'framing',
      'daysUntilPaid',
    ) &&
    typeof v.saleOrReturn === 'boolean' &&
    (v.basePrice === null || numbersIn(v, 'basePrice')),
});

/**
 * What a channel takes of a line that was sold: its shares of the price and its fixed fee once,
 * one listing and the framing for each copy. What is paid by the month or the day is of no single
 * sale. Minor units, rounded once, halves up.
 */
export function feesOfLine(
  { price, copies }: { price: Minor; copies: number },
  terms: ChannelTerms,
): Minor {
  const share = [terms.commission, terms.payment, terms.advertising]
    .map(exactly)
    .reduce(add);
  const fixed = terms.fixed + copies * (terms.listing + terms.framing);
  return minor(nearestWhole(add(multiply(exactly(price), share), exactly(fixed))));
}

/**
 * Whether the shares of a channel leave nothing of any price.
 * @example takesAll({ commission: 0.6, payment: 0.3, advertising: 0.1 }) // true
 */
export const takesAll = ({
  commission,
  payment,
  advertising,
}: Pick<ChannelTerms, 'commission' | 'payment' | 'advertising'>): boolean =>
  signOf(
    subtract(exactly(1), [commission, payment, advertising].map(exactly).reduce(add)),
  ) <= 0;
