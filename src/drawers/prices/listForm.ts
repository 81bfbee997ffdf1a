import { choice, day, defineForm, hinted, money, optional, text } from '@/core/input';
import { verbatim, whole } from '@/core/input';
import { ROUTE_KIND_IDS } from '@/core/prepare';

const MOST = 1e10;
const paid = (title: string) => money(title, { min: 0, max: MOST });
const MANY = { min: 1, max: 1e6 };

/** One line of a price list: a size, a paper, from how many on, what each costs. */
export const listLineForm = defineForm({
  size: text('Size', { max: 60 }),
  paper: text('Paper', { min: 0, max: 120 }),
  from: whole('From', MANY),
  to: optional(whole('To', MANY)),
  each: paid('Each'),
});

/** One step of the postage of a batch. */
export const postageLineForm = defineForm({
  upTo: optional(whole('Up to', MANY)),
  cost: paid('Postage'),
});

/** What a route asks: its terms, and its list line by line. */
export const priceListForm = defineForm({
  name: hinted(text('Who prints', { max: 80 }), 'as files are handed over to them'),
  kind: choice('What they are', ROUTE_KIND_IDS),
  from: day('Prices from'),
  rows: verbatim('Prices', { max: 200_000 }),
  setUp: paid('Set-up of a batch'),
  proofFee: paid('A proof before it'),
  leastQuantity: whole('Fewest they print', MANY, 'prints'),
  leastPaid: paid('Least sum of prints'),
  postage: hinted(
    verbatim('Postage of a batch', { min: 0, max: 10_000 }),
    'empty: none, it is fetched or lies here',
  ),
  freePostageFrom: optional(paid('Sent free from')),
  toCustomer: hinted(
    paid('To the customer, each'),
    'where they send each print themselves',
  ),
  days: optional(whole('Here after', { min: 0, max: 365 }, 'days')),
  loses: hinted(
    text('What is lost there', { min: 0, max: 300 }),
    'in your words: colour muted, cannot inspect',
  ),
});
