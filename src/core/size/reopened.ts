import type { Advice, Crispness, SizeJudgement } from './judge';

/** What was judged of a size when it was last decided on, and from which master. */
export interface JudgedThen {
  verdict: Crispness;
  advice: Advice;
  ppi: number;
  worth: number;
  masterId: number;
}

/** A size whose verdict is another one than when it was decided on. */
export interface Reopened {
  then: JudgedThen;
  now: JudgedThen;
  better: boolean;
  /** A newer file or another crop or straightening of it; or crop for the ratio and rules. */
  because: 'master' | 'cropOrRules';
}

const VERDICTS: Crispness[] = ['inHand', 'whereStand', 'softUpClose', 'fallsShort'];
const ADVICE: Advice[] = ['offer', 'proof', 'withdraw'];
const rank = (j: JudgedThen) => ADVICE.indexOf(j.advice) * 10 + VERDICTS.indexOf(j.verdict);

/** What is kept of a judgement with the decision that rests on it. */
export const judgedNow = (j: SizeJudgement, masterId: number): JudgedThen => ({
  verdict: j.verdict,
  advice: j.advice,
  ppi: j.figures.ppi,
  worth: j.figures.worth,
  masterId,
});

/**
 * Whether a decision stands on another verdict than is true now. One on offer is open again
 * with any other verdict; one withdrawn only when it would pass.
 */
export function reopened(
  kind: 'offered' | 'withdrawn',
  then: JudgedThen | null,
  now: JudgedThen,
): Reopened | null {
  if (!then || (then.verdict === now.verdict && then.advice === now.advice)) return null;
  const better = rank(now) < rank(then);
  if (kind === 'withdrawn' && !(then.advice === 'withdraw' && now.advice !== 'withdraw'))
    return null;
  return {
    then,
    now,
    better,
    because: then.masterId === now.masterId ? 'cropOrRules' : 'master',
  };
}
