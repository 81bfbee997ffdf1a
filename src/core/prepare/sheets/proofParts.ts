import { pixelsOf } from '../../units';
import type { PixelRect, PrintPlan } from '../printPlan';
import type { Recipe } from '../recipe';
import type { ProofLayout, ProofSize, WordsPlace } from './layOutProof';

/** A piece of a print as it is put on a sheet: what is made, and where its corner lies. */
export interface ProofPart {
  plan: PrintPlan;
  recipe: Recipe;
  /** In the pixels of that print. */
  region: PixelRect;
  /** In the pixels of the sheet. */
  place: { left: number; top: number };
}

/** From one row of small words to the next, mm. */
const ROW = 3.2;

/**
 * What is drawn of a laid out proof, in the order in which it is put down: each piece out of its
 * own print, then the whole picture small where it is wanted; and the black lines over them.
 * Throws where a piece is of a size that is not given.
 */
export function proofParts(
  { pieces, overview, check }: ProofLayout,
  recipe: Recipe,
  sizes: readonly Pick<ProofSize, 'sizeKey' | 'plan'>[],
): { parts: ProofPart[]; black: PixelRect[] } {
  const planOf = (key: string) => {
    const size = sizes.find((s) => s.sizeKey === key);
    if (!size) throw new RangeError(`a proof has a piece of ${key}, which is not given`);
    return size.plan;
  };
  const own = pieces.map(({ sizeKey, region, place }) => ({
    plan: planOf(sizeKey),
    recipe,
    region,
    place,
  }));
  const whole = overview && {
    plan: overview.plan,
    recipe,
    region: overview.plan.image,
    place: overview.place,
  };
  return {
    parts: whole ? [...own, whole] : own,
    black: [...check.line, ...(overview?.marks ?? [])],
  };
}

/** The row of small words under another one; pixels at `ppi`. */
export const rowUnder = (words: WordsPlace, ppi: number): WordsPlace => ({
  ...words,
  top: words.top + Math.round(pixelsOf(ROW, ppi)),
});
