import type { Impression, ImpressionState } from './impressions';
import type { Declaration } from './types';

/** How many sheets of an edition stand where; artist's proofs are counted apart. */
export interface SheetCount {
  /** N; null for an open edition. */
  of: number | null;
  /** Numbers by how they stand; what is spoiled is free to be printed again. */
  numbers: Record<ImpressionState, number>;
  artistsProofs: Record<ImpressionState, number>;
  /** Numbers that can still be given: never given, or spoiled and destroyed. Null: no end. */
  toGive: number | null;
  /** Artist's proofs that can still be given. */
  proofsToGive: number;
}

const noneOf = (): Record<ImpressionState, number> => ({
  numbered: 0,
  spoiled: 0,
  ordered: 0,
  sold: 0,
  damaged: 0,
  lost: 0,
});

/**
 * Counts the sheets of an edition from its impressions.
 * @example of 30 with 12 numbered, 1 of them spoiled, 4 ordered: 30 - 11 = 19 to give
 */
export function countSheets(
  declaration: Declaration,
  impressions: readonly Pick<Impression, 'series' | 'state'>[],
): SheetCount {
  const numbers = noneOf();
  const artistsProofs = noneOf();
  for (const { series, state } of impressions)
    (series === 'ap' ? artistsProofs : numbers)[state] += 1;
  const out = (c: Record<ImpressionState, number>) =>
    Object.values(c).reduce((a, b) => a + b, 0) - c.spoiled;
  const of = declaration.kind === 'limited' ? declaration.size : null;
  return {
    of,
    numbers,
    artistsProofs,
    toGive: of === null ? null : of - out(numbers),
    proofsToGive: declaration.artistsProofs - out(artistsProofs),
  };
}
