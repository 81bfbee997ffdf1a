import type { Recommendation } from '@/core/proof';
import type { ProofFigures } from '@/engine';

const one = (v: number) => v.toFixed(1);

/** A share as it is said. */
export const percent = (share: number): string =>
  share > 0 && share < 0.001 ? 'under 0.1\u202f%' : `${(share * 100).toFixed(1)}\u202f%`;

/** Why an intent is recommended, in figures. */
export function becauseWords({ intents, recommended }: ProofFigures): string {
  const { relative, perceptual } = intents;
  const means = (a: typeof relative, b: typeof relative) =>
    `mean ΔE00 ${one(a.cost.mean)} against ${one(b.cost.mean)}`;
  const WHY: Record<Recommendation['because'], string> = {
    exact: `relative keeps what can be kept exactly (${means(relative, perceptual)})`,
    less: `perceptual changes this picture less (${means(perceptual, relative)})`,
    merging: `by relative, ${percent(relative.mergedShare)} of the picture has colours that become one; by perceptual ${percent(perceptual.mergedShare)}`,
  };
  return WHY[recommended.because];
}

/** Rules of thumb, said beside what was measured. */
export const INTENT_RULES = 'Rule of thumb: artwork relative, photographs perceptual.';
