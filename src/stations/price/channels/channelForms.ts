import { decimal, defineForm, hinted, money, percent, whole } from '@/core/input';
import { choice } from '@/core/input';
import { CHANNEL_IDS } from '@/core/price';

const MOST = 1e10;
const paid = (title: string) => money(title, { min: 0, max: MOST });
const share = (title: string) => percent(title, { min: 0, max: 99.9 });

/** What is asked of the channels: a price, what is to be left, what is expected to be sold. */
export const channelsForm = defineForm({
  price: paid('Price asked'),
  wantedNet: hinted(
    money('To be left of each', { min: -MOST, max: MOST }),
    'the price that each channel needs for it stands in the table',
  ),
  cost: paid('Cost of one'),
  perMonth: hinted(
    decimal('Sold a month, all works', { min: 0, max: 10_000 }),
    'what is paid by the month is spread over them',
  ),
  perDay: decimal('Sold on a fair day', { min: 0, max: 10_000 }),
  monthsListed: whole('Months until it is sold', { min: 0, max: 120 }, 'months'),
});

/** What a channel asks. */
export const termsForm = defineForm({
  channel: { ...choice('Channel', CHANNEL_IDS), hidden: true },
  commission: share('Commission'),
  payment: share('Payment'),
  advertising: share('Advertising'),
  fixed: paid('Fixed fee of a sale'),
  listing: paid('Listing a piece'),
  listingMonths: whole('Again after', { min: 1, max: 120 }, 'months'),
  perMonth: paid('By the month'),
  day: paid('A day there'),
  dayHours: decimal('Work on that day', { min: 0, max: 24 }, 'h'),
  framing: paid('Framing a piece for it'),
  saleOrReturn: choice('Sale or return', ['no', 'yes'] as const),
  daysUntilPaid: whole('Paid after', { min: 0, max: 3650 }, 'days'),
});
