import { costOfImpression, priceForMargin, saleAt } from '@/core/price';
import { minor } from '@/core/units';
import type { ActionResult } from '@/studio/wayIn/action';
import { choice, decimal, defineForm, money, percent, text, whole } from '@/core/input';

const MOST = 1e10;

/** One input for the price: the parts of an impression, the channel's fees, the margin. */
export const priceInput = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKey: text('Size', { max: 40 }),
  printing: money('Printing', { min: 0, max: MOST }),
  paper: money('Paper', { min: 0, max: MOST }),
  capture: money('Capture, once', { min: 0, max: MOST }),
  proofs: money('Proofs, once', { min: 0, max: MOST }),
  expectedImpressions: whole('Spread over', { min: 1, max: 100_000 }),
  spoilage: percent('Spoilage', { min: 0, max: 80 }),
  finishing: money('Finishing', { min: 0, max: MOST }),
  packing: money('Packing', { min: 0, max: MOST }),
  postage: money('Postage you pay', { min: 0, max: MOST }),
  hours: decimal('Your time', { min: 0, max: 1000 }, 'h'),
  hourlyRate: money('Your hour', { min: 0, max: MOST }),
  channel: choice('Channel', ['own site', 'marketplace', 'gallery', 'fair']),
  commission: percent('Commission', { min: 0, max: 95 }),
  payment: percent('Payment fee', { min: 0, max: 50 }),
  fixed: money('Fixed fee per sale', { min: 0, max: MOST }),
  margin: percent('Target margin', { min: 0, max: 95 }),
  step: money('Round up to', { above: 0, max: MOST }),
});

type Read = ReturnType<typeof priceInput.read>;
export type PriceValues = Extract<Read, { ok: true }>['value'];

/** The price of one impression and what stays of it; null when nothing would be left of any price. */
export function reckon(v: PriceValues) {
  const cost = costOfImpression(v);
  const fees = { commission: v.commission, payment: v.payment, fixed: v.fixed };
  const price = priceForMargin(cost.total, fees, v.margin, v.step);
  return { cost, sale: price === null ? null : saleAt(minor(price), cost.total, fees) };
}

export interface Reckoning {
  cost: { part: string; amount: number }[];
  total: number;
  gross: number;
  fees: number;
  net: number;
  margin: number;
}

/** Nothing would be left of any price: said at the margin. */
export const NOTHING_LEFT =
  'Target margin: margin and fees together take the whole price, so no price can be found. Lower one of them.';

/** What the numbers typed so far come to, or why they come to nothing. */
export function reckonTyped(
  typed: unknown,
  settings: Parameters<typeof priceInput.read>[1],
): ActionResult<Reckoning> {
  const read = priceInput.read(typed, settings);
  if (!read.ok) return { ok: false, message: '', fields: read.fields };
  const { cost, sale } = reckon(read.value);
  if (!sale) return { ok: false, message: NOTHING_LEFT, fields: { margin: NOTHING_LEFT } };
  const { gross, fees, net, margin } = sale;
  return {
    ok: true,
    value: { cost: cost.parts, total: cost.total, gross, fees, net, margin },
  };
}
