import type { LedgerEntry, LedgerFact } from './types';

/** SHA-256 of a text, in hexadecimal; handed in so that the rule needs no platform. */
export type Sha256 = (text: string) => string;

export const GENESIS = '0'.repeat(64);

/** What is hashed: every field in a fixed order, payload keys sorted, and the hash before. */
export function canonicalText(fact: LedgerFact, seq: number, previousHash: string): string {
  const payload = Object.entries(fact.payload).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([
    seq,
    fact.editionId,
    fact.kind,
    fact.series,
    fact.number,
    fact.at,
    payload,
    previousHash,
  ]);
}

/** Puts a fact behind the last entry of the chain (or at its start). */
export function link(
  fact: LedgerFact,
  last: LedgerEntry | undefined,
  sha256: Sha256,
): LedgerEntry {
  const seq = (last?.seq ?? 0) + 1;
  const previousHash = last?.hash ?? GENESIS;
  return {
    ...fact,
    seq,
    previousHash,
    hash: sha256(canonicalText(fact, seq, previousHash)),
  };
}

/** The first entry of a chain that does not hold, and why. */
export interface ChainFault {
  brokenAt: number;
  why: 'missing' | 'changed' | 'unlinked';
}

export type ChainCheck = { sound: true; entries: number } | ({ sound: false } & ChainFault);

/**
 * Walks a chain in order and names the first entry that does not hold. A long chain can be
 * walked piece by piece: `after` is the last entry of the piece before, itself held.
 */
export function verifyChain(
  entries: Iterable<LedgerEntry>,
  sha256: Sha256,
  after: Pick<LedgerEntry, 'seq' | 'hash'> = { seq: 0, hash: GENESIS },
): ChainCheck {
  let { seq, hash: previousHash } = after;
  for (const entry of entries) {
    seq += 1;
    if (entry.seq !== seq) return { sound: false, brokenAt: seq, why: 'missing' };
    if (entry.previousHash !== previousHash)
      return { sound: false, brokenAt: seq, why: 'unlinked' };
    if (sha256(canonicalText(entry, seq, previousHash)) !== entry.hash)
      return { sound: false, brokenAt: seq, why: 'changed' };
    previousHash = entry.hash;
  }
  return { sound: true, entries: seq };
}
