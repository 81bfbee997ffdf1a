import { PRICED_BY } from '@/core/paper';
import type { PaperFormat } from '@/core/paper';
import { choice, defineForm, hinted, length, optional } from '@/core/input';
import { rowNumber, text, whole, decimal } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import { mm } from '@/core/units';
import { COMES_AS, COSTS } from './formatForm';

const paperId = rowNumber('Paper');
const lotId = rowNumber('Lot');
const reason = text('Why', { max: 120 });

/** A delivery. */
export const lotForm = defineForm({
  name: hinted(text('Lot', { max: 60 }), 'batch number, or the day'),
  ...COMES_AS,
  pieces: whole('Sheets', { min: 1, max: 10_000 }),
  ...COSTS,
  paperId,
});

export const TAKEN_FOR = ['test', 'spoiled', 'other'] as const;

/** Paper taken out by hand: for a test, spoiled, for something else. */
export const takeForm = defineForm({
  lotId,
  kind: choice('For', TAKEN_FOR),
  sheets: optional(decimal('Sheets', { above: 0, max: 10_000 })),
  run: optional(length('Length', { above: 0, max: 500_000 })),
  reason,
});

/** What was counted of a lot. */
export const countForm = defineForm({
  lotId,
  sheets: optional(decimal('Counted', { min: 0, max: 10_000 }, 'sheets')),
  run: optional(length('Measured', { min: 0, max: 500_000 })),
  reason,
});

export const putBackForm = defineForm({ useId: rowNumber('Use') });

/** What comes of a paper, in a format that it is sold as, at the price that it has. */
export const usualLot = (
  { kind, width, height, core, price, currency, supplier }: PaperFormat,
  today: string,
  context: InputContext,
): Typed =>
  lotForm.write(
    {
      kind,
      name: today,
      width: mm(width),
      height: mm(height),
      core: core === null ? null : mm(core),
      pieces: kind === 'roll' ? 1 : 10,
      price: currency === context.currency ? price : null,
      per: PRICED_BY[0],
      supplier,
    },
    context,
  );
