import { choice, defineForm, hinted, length, mass, money } from '@/core/input';
import { optional, text, verbatim, whole } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import { CHANNEL_IDS } from '@/core/price';
import { ADDRESS } from '../orderForms';

/** What a line of a list can be of, as people name it. */
export const LISTED_KINDS = ['numbered', 'artist’s proof', 'unnumbered', 'goods'] as const;

/** One line of a list of orders: lines of one order carry the same word in `Order`. */
export const orderListForm = defineForm({
  order: hinted(
    text('Order', { min: 0, max: 40 }),
    'the shop’s own number; lines of one order carry the same',
  ),
  ...ADDRESS,
  channel: choice('Channel', CHANNEL_IDS),
  kind: choice('What', LISTED_KINDS),
  work: text('Work', { min: 0, max: 200 }),
  size: text('Size', { min: 0, max: 60 }),
  number: text('Number', { min: 0, max: 20 }),
  paper: text('Paper', { min: 0, max: 80 }),
  goods: text('What they are', { min: 0, max: 120 }),
  mass: optional(mass('Weight of one', { above: 0, max: 50_000 })),
  thickness: optional(length('Thickness of one', { above: 0, max: 500 })),
  quantity: whole('How many', { min: 1, max: 500 }),
  price: money('Price', { above: 0, max: 1e10 }),
  wish: text('Wish of the customer', { min: 0, max: 500 }),
  note: text('Note to the packer', { min: 0, max: 500 }),
});

/** Columns without which there is no list of orders. */
export const NEEDED_OF_ORDERS = ['name', 'street', 'town', 'country', 'price'];

/** What a line is where nothing is said. */
export const usualOrderLine = (context: InputContext): Typed =>
  orderListForm.write({ channel: 'own site', kind: 'numbered', quantity: 1 }, context);

/** Heads of an empty list to be written in. */
export const ordersTemplate = () => [Object.values(orderListForm.titles)];

export const bringOrdersForm = defineForm({ list: verbatim('List', { max: 2_000_000 }) });
