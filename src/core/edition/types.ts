export type EditionKind = 'open' | 'limited';
/** `number`: counted in the edition, n/N. `ap`: artist's proof, outside it. */
export type Series = 'number' | 'ap';
/** One edition per size, or one over all sizes of a work: both schools. */
export type EditionScope = 'perSize' | 'allSizes';

export interface Declaration {
  kind: EditionKind;
  scope: EditionScope;
  /** N of a limited edition; 0 for an open one. */
  size: number;
  artistsProofs: number;
}

export type LedgerKind =
  | 'declared'
  /** What an edition of before was declared for, as it stood when it was carried over. */
  | 'attested'
  | 'assigned'
  | 'spoiled'
  | 'ordered'
  /** The order was cancelled, or changed: free again. */
  | 'released'
  | 'shipped'
  /** Came back: `condition` in the payload is `whole` or `damaged`. */
  | 'returned'
  /** Went out, and will not be seen again. */
  | 'lost';

/** One fact of the edition ledger. `series` and `number` are null for declarations. */
export interface LedgerFact {
  editionId: number;
  kind: LedgerKind;
  series: Series | null;
  number: number | null;
  /** ISO 8601 instant. */
  at: string;
  payload: Record<string, string | number>;
}

/** A fact in its place in the chain. `seq` counts from 1 over all editions of the studio. */
export interface LedgerEntry extends LedgerFact {
  seq: number;
  previousHash: string;
  hash: string;
}
