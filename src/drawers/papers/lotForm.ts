import { LOT_KINDS } from '@/core/paper';
import { choice, defineForm, hinted, length, money, optional } from '@/core/input';
import { rowNumber, text, whole, decimal } from '@/core/input';
import type { InputContext, Typed, ValueOf } from '@/core/input';
import type { Paper } from '@/data';

const paperId = rowNumber('Paper');
const lotId = rowNumber('Lot');
const reason = text('Why', { max: 120 });

const FIELDS = {
  kind: choice('Comes as', LOT_KINDS),
  name: hinted(text('Lot', { max: 60 }), 'batch number, or the day'),
  width: length('Width', { above: 0, max: 5000 }),
  height: hinted(length('Height', { above: 0, max: 500_000 }), 'of a roll: its length'),
  pieces: whole('Sheets', { min: 1, max: 10_000 }),
  price: hinted(money('Price', { min: 0, max: 1e9 }), 'of one sheet, or of the whole roll'),
  supplier: text('Supplier', { min: 0, max: 80 }),
};

/** A delivery. */
export const lotForm = defineForm({ ...FIELDS, paperId });
export type LotInput = ValueOf<typeof FIELDS>;

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

/** What comes of a paper is mostly its usual sheet, at the price that it had. */
export const usualLot = (paper: Paper, today: string, context: InputContext): Typed =>
  lotForm.write(
    {
      kind: 'sheet',
      name: today,
      width: paper.sheetWidth,
      height: paper.sheetHeight,
      pieces: 10,
      price: paper.currency === context.currency ? paper.price : null,
      supplier: '',
    },
    context,
  );
