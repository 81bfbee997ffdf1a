import { choice, defineForm, formSeen, length, money } from '@/core/input';
import { optional, rowNumber, text, whole } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import { WORK_KINDS } from '@/core/work';
import type { Work } from '@/data';

/** Larger originals than 20 m are a typing mistake. */
const LONGEST = 20_000;

const FIELDS = {
  title: text('Title', { max: 120 }),
  artist: text('Artist', { max: 120 }),
  medium: text('Medium', { max: 120 }),
  kind: choice('Kind', WORK_KINDS),
  year: whole('Year', { min: 1000, max: 2200 }),
  width: length('Width', { above: 0, max: LONGEST }),
  height: length('Height', { above: 0, max: LONGEST }),
  price: money('Price of the original', { min: 0, max: 1e12 }),
};

/** What is noted of a work. */
export const workForm = defineForm(FIELDS);

const workId = rowNumber('Work');

/** The same, changed; left empty, the price stays what it is. */
export const editWorkForm = defineForm({
  ...FIELDS,
  price: optional(FIELDS.price),
  workId,
  seen: formSeen,
});

export const removeWorkForm = defineForm({ workId });

/** A work as it stands in its form; a price in another currency is left empty. */
export const workWritten = (
  work: Omit<Work, 'id' | 'createdAt'>,
  context: InputContext,
): Typed =>
  workForm.write(
    { ...work, price: work.currency === context.currency ? work.price : null },
    context,
  );
