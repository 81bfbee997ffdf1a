import type { EditionState, LineKind, LineState } from './types';

export type LineFault =
  | 'noWork'
  | 'noPaper'
  | 'notNumbered'
  | 'otherSize'
  | 'notOffered'
  | 'limited'
  | 'noName'
  | 'noQuantity';

/** What a line names, as the studio knows it. */
export interface LineFacts {
  kind: LineKind;
  quantity: number;
  /** Goods have a name. */
  name: string;
  /** The work is there. */
  work: boolean;
  /** The paper is there. */
  paper: boolean;
  /** The size the page sent; null when it sent none. */
  sizeAsked: string | null;
  /** The size at which the impression was printed, by its ledger; null when it was never numbered. */
  sizePrinted: string | null;
  /** The size is on offer now. */
  offered: boolean;
  /** The edition that prints of this size belong to; null for none. */
  edition: EditionState | null;
}

/**
 * What is wrong with a line; null when nothing is. A numbered print has the size its ledger
 * tells, whatever a page says; an unnumbered one must be on offer, in no limited edition.
 */
export function lineFault(f: LineFacts): LineFault | null {
  if (f.kind === 'goods') {
    if (f.name.trim() === '') return 'noName';
    return f.quantity >= 1 ? null : 'noQuantity';
  }
  if (!f.work) return 'noWork';
  if (!f.paper) return 'noPaper';
  if (f.kind === 'openPrint') {
    if (!f.offered) return 'notOffered';
    if (f.edition === 'limited') return 'limited';
    return f.quantity >= 1 ? null : 'noQuantity';
  }
  if (f.sizePrinted === null) return 'notNumbered';
  if (f.sizeAsked !== null && f.sizeAsked !== f.sizePrinted) return 'otherSize';
  return f.quantity === 1 ? null : 'noQuantity';
}

/** Lines that still belong to the order. */
export const stands = (state: LineState): boolean => state !== 'removed';
