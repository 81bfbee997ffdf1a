import { choice, defineForm, rowNumber, text, whole } from '@/core/input';

export const PRINTED_AS = ['test', 'spoiled'] as const;

/** Prints that were made here and are neither a proof round nor numbered: they take their paper, too. */
export const printedForm = defineForm({
  workId: rowNumber('Work'),
  /** `print:7`, `sheet:3`. */
  file: text('Printed', { max: 40 }),
  paperId: { ...rowNumber('On'), hidden: false },
  as: choice('As', PRINTED_AS),
  prints: whole('Prints', { min: 1, max: 100 }),
});
