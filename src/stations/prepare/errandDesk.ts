import { isFigure, isRow, isText, orNull, recordOf, shape } from '@/core/facts';
import type { Guard } from '@/core/facts';
import { defineForm, optional, rowNumber, text, whole } from '@/core/input';
import type { InputContext } from '@/core/input';
import type { FileShown } from './filesShown';

/** How one file goes along. */
export interface Chosen {
  quantity: string;
  paperId: string;
  remarks: string;
}

/** What was chosen for an errand, as the tab keeps it. */
export interface ErrandDesk {
  routeId: number | null;
  items: Record<string, Chosen>;
  /** Files of other works that go along. */
  others: Record<string, FileShown>;
}

/** Whether what the tab kept is a desk; anything else is let go. */
export const isErrandDesk = shape({
  routeId: orNull(isRow),
  items: recordOf(shape({ quantity: isText, paperId: isText, remarks: isText })),
  others: recordOf(
    shape({
      id: isRow,
      name: isText,
      work: isText,
      bytes: isFigure,
      routed: shape({ ppi: isFigure, bits: isFigure, format: isText, failed: isFigure }),
    }),
  ),
}) as Guard<ErrandDesk>;

/** How a file goes along: one line of an errand. */
export const itemForm = defineForm({
  quantity: whole('Prints', { min: 1, max: 1000 }),
  paperId: optional(rowNumber('Paper')),
  remarks: text('Remarks', { min: 0, max: 300 }),
});

/** A line as it is sent; or what is not right with it, by its file's name. */
export function readItem(file: FileShown, typed: Chosen, context: InputContext) {
  const read = itemForm.read(typed, context);
  return read.ok
    ? { item: { printFileId: file.id, ...read.value }, fault: null }
    : { item: null, fault: `${file.name}: ${Object.values(read.fields)[0]!}` };
}
