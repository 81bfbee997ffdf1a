import type { Recommendation, WeighedIntent } from '@/core/proof';
import type { ProofFigures } from '@/engine';

/** How intents are called where they are weighed. */
export const INTENT_WORDS: Record<WeighedIntent, string> = {
  relative: 'relative colorimetric',
  perceptual: 'perceptual',
  absolute: 'absolute colorimetric',
};

const one = (v: number) => v.toFixed(1);
const percent = (v: number) => `${(v * 100).toFixed(1)} %`;

/** Why an intent is recommended, in figures; both rules of thumb stand beside it. */
export function becauseWords({ intents, recommended }: ProofFigures): string {
  const { relative, perceptual } = intents;
  const means = `mean ΔE00 ${one(relative.cost.mean)} against ${one(perceptual.cost.mean)}`;
  const WHY: Record<Recommendation['because'], string> = {
    exact: `relative keeps what can be printed as it is (${means} by perceptual), and colours that become one are ${percent(relative.mergedShare)} of the picture`,
    less: `perceptual changes this picture less: mean ΔE00 ${one(perceptual.cost.mean)} against ${one(relative.cost.mean)} by relative`,
    merging: `by relative, colours of ${percent(relative.mergedShare)} of the picture become one with others, by perceptual ${percent(perceptual.mergedShare)}`,
  };
  return WHY[recommended.because];
}

/** Rules of thumb, said beside what was measured. */
export const INTENT_RULES = 'Rule of thumb: artwork relative, photographs perceptual.';
