import { seenGrade } from '@/core/proof';
import type { Recommendation, StaleReason } from '@/core/proof';
import type { ProofFigures } from '@/engine';
import { PLAIN } from './figures';
import type { Written } from './figures';

/** A share as it is said. */
export const percent = (share: number, written: Written = PLAIN): string =>
  share > 0 && share < 0.001
    ? `under ${written(0.1, 1)}\u202f%`
    : `${written(share * 100, 1)}\u202f%`;

const TO_THE_EYE = [
  'not to be seen',
  'close',
  'seen side by side',
  'clearly seen',
  'plainly wrong',
] as const;

/** What a difference means to the eye, for prints that are held side by side: rules of thumb. */
export const meansWords = (difference: number): string =>
  TO_THE_EYE[seenGrade(difference)]!;

/** Why an intent is recommended, in figures. */
export function becauseWords(
  { intents, recommended }: ProofFigures,
  written: Written = PLAIN,
): string {
  const { relative, perceptual } = intents;
  const means = (a: typeof relative, b: typeof relative) =>
    `mean ΔE00 ${written(a.cost.mean, 1)} against ${written(b.cost.mean, 1)}`;
  const WHY: Record<Recommendation['because'], string> = {
    exact: `relative keeps what can be kept exactly (${means(relative, perceptual)})`,
    less: `perceptual changes this picture less (${means(perceptual, relative)})`,
    merging: `by relative, ${percent(relative.mergedShare, written)} of the picture has colours that become one; by perceptual ${percent(perceptual.mergedShare, written)}`,
  };
  return WHY[recommended.because];
}

/** Rules of thumb, said beside what was measured. */
export const INTENT_RULES = 'Rule of thumb: artwork relative, photographs perceptual.';

/** What makes an approved proof no reference any more. */
export const STALE_WORDS: Record<StaleReason, string> = {
  size: 'the size',
  paper: 'the paper',
  printer: 'the printer',
  ink: 'the ink set',
  profile: 'the profile',
  master: 'the master',
  recipe: 'the recipe',
};

/** @example listed(['the paper', 'the profile']) // 'the paper and the profile' */
export const listed = (words: readonly string[]): string =>
  words.length < 2
    ? (words[0] ?? '')
    : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;

/** Why there is no valid reference; empty while one holds. */
export function referenceWords(
  standing: { round: number; reasons: readonly StaleReason[] } | null,
): string {
  if (!standing) return 'no proof of it was approved';
  const { round, reasons } = standing;
  if (reasons.length === 0) return '';
  return `${listed(reasons.map((r) => STALE_WORDS[r]))} ${reasons.length === 1 ? 'is' : 'are'} another than in round ${round}, which was approved`;
}
