/** What one line of an order is of. */
export type LineKind = 'impression' | 'artistsProof' | 'openPrint' | 'goods';
export const LINE_KINDS: readonly LineKind[] = [
  'impression',
  'artistsProof',
  'openPrint',
  'goods',
];

/** How a line stands: in the order, taken out, gone, or come back. */
export type LineState = 'open' | 'removed' | 'shipped' | 'returned' | 'damaged' | 'lost';

/** How a shipped line came back: whole, damaged, or not at all. */
export type ReturnHow = 'whole' | 'damaged' | 'lost';
export const RETURN_HOW: readonly ReturnHow[] = ['whole', 'damaged', 'lost'];

export type OrderState = 'open' | 'sealed' | 'shipped' | 'cancelled';

/** What prints of a size belong to: a limited edition, an open one. */
export type EditionState = 'limited' | 'open';
