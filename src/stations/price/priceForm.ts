import {
  choice,
  decimal,
  defineForm,
  hinted,
  money,
  optional,
  percent,
  text,
  whole,
} from '@/core/input';
import { CHANNEL_IDS } from '@/core/price';

const MOST = 1e10;
const hours = (title: string) => decimal(title, { min: 0, max: 1000 }, 'h');
const cost = (title: string) => money(title, { min: 0, max: MOST });

/** The price of a size: the parts of an impression, the channel's fees, the margin. */
export const priceForm = defineForm({
  printing: cost('Printing'),
  paper: cost('Paper'),
  capture: cost('Capture, once'),
  proofs: cost('Proofs, once'),
  expectedImpressions: whole('Spread over', { min: 1, max: 100_000 }, 'prints'),
  spoilage: percent('Spoilage', { min: 0, max: 80 }),
  finishing: cost('Finishing'),
  packing: cost('Packing'),
  postage: cost('Postage you pay'),
  wear: cost('Wear of the printer'),
  donation: cost('Given away'),
  hours: hinted(hours('Your time'), 'printing, and whatever is not said below'),
  signingHours: hours('Signing it'),
  finishingHours: hours('Framing it'),
  packingHours: hours('Wrapping it'),
  hourlyRate: cost('Your hour'),
  channel: choice('Channel', CHANNEL_IDS),
  commission: percent('Commission', { min: 0, max: 95 }),
  payment: percent('Payment fee', { min: 0, max: 50 }),
  fixed: cost('Fixed fee per sale'),
  margin: percent('Target margin', { min: 0, max: 95 }),
  step: money('Round up to', { above: 0, max: MOST }),
  asked: hinted(
    optional(money('Or ask', { min: 0, max: MOST })),
    'empty: the price that the margin gives',
  ),
});

/** The same, of one size of one work. */
export const keepPriceForm = defineForm({
  ...priceForm.fields,
  workId: whole('Work', { min: 1, max: 1e12 }),
  sizeKey: text('Size', { max: 40 }),
});

/** Nothing would be left of any price: said at the margin. */
export const NOTHING_LEFT =
  'Target margin: margin and fees together take the whole price, so no price can be found. Lower one of them.';
