import {
  day,
  defineForm,
  hinted,
  json,
  money,
  percent,
  rowNumber,
  text,
  whole,
} from '@/core/input';
import type { Series } from '@/core/edition';

const MOST = 1e10;

/** A print that is lent out, and what is asked for it there. */
export interface LentItem {
  editionId: number;
  series: Series;
  number: number;
  price: number;
}

/** Prints lent out to be sold: to whom, which, on what terms, until when. */
export const consignForm = defineForm({
  name: text('With whom', { max: 120 }),
  street: text('Street', { max: 160 }),
  town: text('Postcode and town', { max: 120 }),
  country: text('Country', { max: 80 }),
  items: {
    ...json<LentItem[]>('Prints', {
      type: 'array',
      minItems: 1,
      maxItems: 200,
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['editionId', 'series', 'number', 'price'],
        properties: {
          editionId: { type: 'integer', minimum: 1, maximum: 1e12 },
          series: { type: 'string', enum: ['number', 'ap'] },
          number: { type: 'integer', minimum: 1, maximum: 1e9 },
          price: { type: 'integer', minimum: 1, maximum: MOST },
        },
      },
    }),
    hidden: true,
  },
  commission: percent('Their share of a sale', { min: 0, max: 99.9 }),
  framing: hinted(
    money('Framing each cost you', { min: 0, max: MOST }),
    '0: they frame, or nobody does',
  ),
  daysUntilPaid: whole('Paid after', { min: 0, max: 3650 }, 'days'),
  fetchOn: day('Fetch back by'),
  note: text('Agreed beside', { min: 0, max: 400 }),
});

/** One print of a consignment. */
export const lentForm = defineForm({
  number: { ...text('Consignment', { max: 12 }), hidden: true },
  print: rowNumber('Print'),
});

/** The same, sold there for a price. */
export const soldForm = defineForm({
  ...lentForm.fields,
  price: money('Sold for', { above: 0, max: MOST }),
});

/** A whole consignment. */
export const consignmentForm = defineForm({ number: lentForm.fields.number });
