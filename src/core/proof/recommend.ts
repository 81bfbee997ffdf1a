import type { ProofCost } from './cost';

/** Ways of printing that are weighed against each other. */
export const WEIGHED_INTENTS = ['relative', 'perceptual', 'absolute'] as const;
export type WeighedIntent = (typeof WEIGHED_INTENTS)[number];

export interface IntentCost {
  cost: ProofCost;
  /** Pairs of colours that become one, and the share of the picture's pixels that such colours have. */
  mergedPairs: number;
  mergedShare: number;
}

/**
 * When perceptual is proposed instead of relative: where it changes the picture less, or where
 * relative makes one colour of many. Rules of thumb.
 */
export const RECOMMENDING = {
  /** Share of pixels of merged colours from which differences that vanish are worth a change of all others. */
  merged: 0.03,
  /** Perceptual must leave at most so much of it. */
  left: 0.5,
  /** And may change the whole by at most so much more, mean CIEDE2000. */
  price: 2,
} as const;

export interface Recommendation {
  intent: 'relative' | 'perceptual';
  /** `less`: it changes less; `merging`: it keeps colours apart that the other makes one; `exact`: it keeps what can be kept. */
  because: 'exact' | 'less' | 'merging';
}

/**
 * Relative or perceptual, from what each costs the picture. Relative, unless perceptual changes it
 * less on the whole, or keeps colours apart of which relative would make one.
 */
export function recommendIntent(
  costs: Record<'relative' | 'perceptual', IntentCost>,
): Recommendation {
  const { relative, perceptual } = costs;
  if (perceptual.cost.mean < relative.cost.mean && perceptual.cost.p95 <= relative.cost.p95)
    return { intent: 'perceptual', because: 'less' };
  const { merged, left, price } = RECOMMENDING;
  const keeps = perceptual.mergedShare <= left * relative.mergedShare;
  const dear = perceptual.cost.mean - relative.cost.mean > price;
  if (relative.mergedShare > merged && keeps && !dear)
    return { intent: 'perceptual', because: 'merging' };
  return { intent: 'relative', because: 'exact' };
}

/** Papers in the order in which they hold a picture: by what the better of both intents leaves, mean and worst. */
export function rankPapers<P extends { mean: number; p95: number }>(
  papers: readonly P[],
): P[] {
  const of = (p: P) => p.mean + p.p95 / 4;
  return [...papers].sort((a, b) => of(a) - of(b));
}
