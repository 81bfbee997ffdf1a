import { LOT_KINDS, PRICED_BY } from '@/core/paper';
import { choice, day, defineForm, hinted, length, money, optional } from '@/core/input';
import { rowNumber, text } from '@/core/input';

/** What paper comes as: sheets of a size, or a roll. */
export const COMES_AS = {
  kind: choice('Comes as', LOT_KINDS),
  width: length('Width', { above: 0, max: 5000 }),
  height: hinted(length('Height', { above: 0, max: 500_000 }), 'of a roll: its length'),
  core: hinted(
    optional(length('Core', { above: 0, max: 300 })),
    'of a roll: inside diameter',
  ),
};

/** What it costs, and of whom. */
export const COSTS = {
  price: money('Price', { min: 0, max: 1e9 }),
  per: choice('Price is of', PRICED_BY, PRICED_BY[0]),
  supplier: text('Supplier', { min: 0, max: 80 }),
};

const paperId = rowNumber('Paper');

/** A price that was heard or read: what the paper is sold as from that day on. */
export const formatForm = defineForm({
  ...COMES_AS,
  ...COSTS,
  day: day('As of'),
  paperId,
});

/** That it is no longer sold so. */
export const formatGoneForm = defineForm({
  paperId,
  kind: { ...COMES_AS.kind, hidden: true },
  width: { ...COMES_AS.width, hidden: true },
  height: { ...COMES_AS.height, hidden: true },
});
