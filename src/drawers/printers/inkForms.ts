import { choice, day, decimal, defineForm, hinted, money } from '@/core/input';
import { optional, percent, rowNumber, text, whole } from '@/core/input';

const printerId = rowNumber('Printer');
/** An ink that is chosen, not sent along unseen. */
const inkId = { ...rowNumber('Ink'), hidden: false };
const on = day('On');
const note = text('Note', { min: 0, max: 200 });

/** A cartridge was put in. */
export const changedForm = defineForm({
  printerId,
  inkId,
  day: on,
  ml: decimal('The new one holds', { above: 0, max: 20_000 }, 'ml'),
  wasLeft: hinted(
    optional(percent('Left in the old', { min: 0, max: 99 })),
    'where it was not empty yet, and one could tell',
  ),
  firstFill: hinted(
    choice('Filled the tubes', ['no', 'yes']),
    'the first set of a printer mostly does',
  ),
  note,
});

/** The first set: one of every ink that was never changed. */
export const firstSetForm = defineForm({ printerId, day: on });

/** How often and how strongly the heads were cleaned. */
export const cleanedForm = defineForm({
  printerId,
  day: on,
  times: hinted(
    decimal('Counts as', { above: 0, max: 100 }, 'usual ones'),
    'a strong one about three (rule of thumb)',
  ),
  note,
});

/** Cartridges that were bought and lie ready. */
export const boughtForm = defineForm({
  printerId,
  inkId,
  day: on,
  pieces: whole('Cartridges', { min: 1, max: 100 }),
  price: optional(money('Each for', { min: 0, max: 1e8 })),
  note,
});

export const takeBackForm = defineForm({ eventId: rowNumber('What was noted') });
export const estimateForm = defineForm({ printerId });

/** The name of the field that an ink's gauge is typed in. */
export const gaugeField = (id: number): string => `gauge${id}`;

/** What the gauges of a printer say: a field for each of its inks, those that were not read left empty. */
export const gaugeForm = (inks: readonly { id: number; name: string }[]) =>
  defineForm({
    printerId,
    day: on,
    ...Object.fromEntries(
      inks.map(({ id, name }) => [
        gaugeField(id),
        optional(percent(name, { min: 0, max: 100 })),
      ]),
    ),
  });
