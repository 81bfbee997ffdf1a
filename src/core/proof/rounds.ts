export const PROOF_VERDICTS = ['approved', 'changeAndRepeat', 'abandoned'] as const;
export type ProofVerdict = (typeof PROOF_VERDICTS)[number];

/** One proof round of a work x paper x size, as far as it has come. */
export interface ProofRound {
  id: number;
  paperId: number;
  sizeKey: string;
  round: number;
  sentAt: string;
  backAt: string | null;
  verdict: ProofVerdict | null;
}

const sameQuestion = (a: { paperId: number; sizeKey: string }, b: typeof a) =>
  a.paperId === b.paperId && a.sizeKey === b.sizeKey;

/**
 * Number of the round to send for a paper and a size; or the round that is still out: it must
 * be back and judged before the next of the same question is sent.
 * @example after rounds 1 and 2, both judged: { round: 3, out: null }
 */
export function nextRound<R extends ProofRound>(
  rounds: readonly R[],
  question: { paperId: number; sizeKey: string },
): { round: number; out: R | null } {
  const own = rounds.filter((r) => sameQuestion(r, question));
  return {
    round: 1 + Math.max(0, ...own.map((r) => r.round)),
    out: own.find((r) => r.verdict === null) ?? null,
  };
}

/**
 * The approved reference (bon à tirer): the one approved last, by the day it was judged, and of
 * one day the later round. A size is asked about on any paper, or on the one named; undefined where none was approved.
 */
export const referenceProof = <R extends ProofRound>(
  rounds: readonly R[],
  { sizeKey, paperId }: { sizeKey: string; paperId?: number },
): R | undefined =>
  rounds
    .filter((r) => r.sizeKey === sizeKey && r.verdict === 'approved')
    .filter((r) => paperId === undefined || r.paperId === paperId)
    .sort((a, b) => (a.backAt ?? '').localeCompare(b.backAt ?? '') || a.id - b.id)
    .at(-1);

/**
 * What a verdict lacks: a further round must know what it tries. Null when it can be kept.
 * @example verdictFault({ verdict: 'changeAndRepeat', toChange: '' }) // 'toChange'
 */
export const verdictFault = (said: {
  verdict: ProofVerdict;
  toChange: string;
}): 'toChange' | null =>
  said.verdict === 'changeAndRepeat' && said.toChange.trim() === '' ? 'toChange' : null;
