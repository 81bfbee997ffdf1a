import { choice, defineForm, length } from '@/core/input';
import { mass, money, optional, rowNumber, text, whole } from '@/core/input';
import type { Field } from '@/core/input';
import { LINE_KINDS, RETURN_HOW, extrasField, itemField } from '@/core/order';
import { CHANNEL_IDS } from '@/core/price';

const MOST_MONEY = 1e10;
const number: Field<string> = { ...text('Order', { max: 12 }), hidden: true };
const price = money('Price', { above: 0, max: MOST_MONEY });

/** Who an order goes to. */
export const ADDRESS = {
  name: text('Name', { max: 120 }),
  street: text('Street', { max: 160 }),
  town: text('Postcode and town', { max: 120 }),
  country: text('Country', { max: 80 }),
};

/** What is ordered: which fields count depends on the kind. */
const line = {
  kind: choice('What', LINE_KINDS),
  item: optional(itemField({ title: 'Impression', example: 'one of the list' })),
  paperId: optional(whole('Printed on', { min: 1, max: 1e12 })),
  goods: text('What they are', { min: 0, max: 120 }),
  mass: optional(mass('Weight of one', { above: 0, max: 50_000 })),
  thickness: optional(length('Thickness of one', { above: 0, max: 500 })),
  quantity: whole('How many', { min: 1, max: 500 }),
  price,
};

/** The fields that both tell who packs. */
export const NOTES = ['wish', 'note'];

const notes = {
  wish: text('Wish of the customer', { min: 0, max: 500 }),
  note: text('Note to the packer', { min: 0, max: 500 }),
};

/** A new order with its first line. */
export const newOrderForm = defineForm({
  ...line,
  ...ADDRESS,
  ...notes,
  extras: extrasField({
    title: 'Put in as well',
    hint: 'Such as: postcard 6 g, ribbon',
    example: 'names with a comma between, such as: postcard 6 g, ribbon',
  }),
  channel: choice('Channel', CHANNEL_IDS),
});

/** A line more. */
export const lineForm = defineForm({ order: number, ...line });

export const addressForm = defineForm({ order: number, ...ADDRESS });
export const notesForm = defineForm({ order: number, ...notes });

const lineId = rowNumber('Line');
const parcelId = rowNumber('Parcel');

export const removeForm = defineForm({ order: number, line: lineId });
export const repriceForm = defineForm({ order: number, line: lineId, price });
/** `parcel` 0: one is begun for it. */
export const moveForm = defineForm({
  order: number,
  line: lineId,
  parcel: whole('Parcel', { min: 0, max: 1e12 }),
});
export const orderForm = defineForm({ order: number });
export const cancelForm = defineForm({
  order: number,
  reason: text('Why', { max: 300 }),
});
export const returnForm = defineForm({
  order: number,
  line: lineId,
  how: choice('It came back', RETURN_HOW),
  refund: money('Paid back', { min: 0, max: MOST_MONEY }),
  reason: text('What was said', { min: 0, max: 300 }),
});

export const parcelForm = defineForm({ order: number, parcel: parcelId });
export const tickForm = defineForm({
  order: number,
  parcel: parcelId,
  part: text('Part', { max: 160 }),
  count: choice('Count', ['first', 'second']),
  on: choice('Tick', ['yes', 'no']),
});
export const weighForm = defineForm({
  order: number,
  parcel: parcelId,
  grams: optional(mass('Weight, if typed by hand', { above: 0, max: 100_000 })),
});
export const sealForm = defineForm({
  order: number,
  parcel: parcelId,
  carrier: text('Carrier', { max: 60 }),
  service: text('Service', { max: 60 }),
  /** What the page showed that it costs and weighs: sealed is what was seen. */
  cost: whole('Cost', { min: 0, max: MOST_MONEY }),
});
