import { isFigure, isRow, isText, orNull, recordOf, shape } from '@/core/facts';
import type { Guard } from '@/core/facts';
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
