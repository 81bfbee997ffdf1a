import { choice, defineForm, length, optional, text, whole } from '@/core/input';

const off = (title: string) => length(title, { min: 0, max: 50 });
const thick = (title: string) => optional(length(title, { min: 0, max: 60 }));
const border = (title: string) => length(title, { min: 0, max: 600 });

/** A mat and its frame. */
export const finishForm = defineForm({
  style: choice('Opening', ['overlap', 'reveal']),
  perSide: length('Per side', { min: 0, max: 400 }),
  offPrint: off('Print may be off'),
  offMat: off('Mat may be off'),
  offFrame: off('Frame may be off'),
  sides: border('Mat, sides'),
  above: border('Mat, above'),
  below: border('Mat, below'),
  moulding: length('Moulding width', { above: 0, max: 300 }),
  glass: length('Glazing thickness', { min: 0, max: 20 }),
  glazing: choice('Glazing', ['glass', 'acrylic']),
  board: thick('Mat board'),
  spacer: thick('Spacer'),
  backing: thick('Backing'),
});

/** The same, of one size of one work. */
export const keepFinishForm = defineForm({
  ...finishForm.fields,
  workId: whole('Work', { min: 1, max: 1e12 }),
  sizeKey: text('Size', { max: 40 }),
});

/** The overlap covers everything: said at its field. */
export const NO_OPENING = 'Per side: the overlap covers the whole image. Make it smaller.';
