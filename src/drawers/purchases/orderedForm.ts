import { BOUGHT_KINDS } from '@/core/paper';
import { choice, day, defineForm, hinted, optional, rowNumber } from '@/core/input';
import { text, verbatim, whole } from '@/core/input';
import { WITHIN } from './within';

/** That something was ordered: what it is goes along, how many and for when is asked. */
export const orderedForm = defineForm({
  kind: { ...choice('Kind', BOUGHT_KINDS), hidden: true },
  ref: rowNumber('What'),
  name: text('What', { max: 200 }),
  quantity: whole('How many', { min: 1, max: 100_000 }),
  supplier: text('Supplier', { min: 0, max: 80 }),
  orderedOn: day('Ordered on'),
  comesOn: hinted(
    optional(day('Is to come on')),
    'as the supplier said; the table asks for it afterwards',
  ),
});

/** That all of a supplier's list was ordered, as it stood on the page. */
export const allOrderedForm = defineForm({
  supplier: text('Supplier', { min: 0, max: 80 }),
  within: choice('To be ordered within', WITHIN),
  seen: { ...verbatim('List', { max: 20_000 }), hidden: true },
});

/** That it does not come after all. */
export const notComingForm = defineForm({ purchaseId: rowNumber('What was ordered') });
