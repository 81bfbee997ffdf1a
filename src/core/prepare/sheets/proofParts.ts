import { pixelsOf } from '../../units';
import type { PixelRect, PrintPlan } from '../printPlan';
import { RECIPE_RULE } from '../recipe';
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
  /** Made of the patches of the control strip. */
  strip?: boolean;
}

/** A control strip as it lies on a sheet: its patches go the way of the print, each pixel one of its own. */
export function stripPart(
  { left, top, width, height }: PixelRect,
  recipe: Recipe,
): ProofPart {
  const whole = { left: 0, top: 0, width, height };
  const plan = { width, height, image: whole, source: whole, factor: 1 };
  // Its patches are colours, not numbers of the picture's own profile: by the rule of now.
  const working = { ...recipe, rule: RECIPE_RULE } as const;
  return { plan, recipe: working, region: whole, place: { left, top }, strip: true };
}

/** From one row of small words to the next, mm. */
const ROW = 3.2;

/**
 * What is drawn of a laid out proof, in the order in which it is put down: each piece out of its
 * own print, then the whole picture small where it is wanted; and the black lines over them.
 * Throws where a piece is of a size that is not given.
 */
export function proofParts(
  { pieces, overview, strip, check }: ProofLayout,
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
    parts: [
      ...own,
      ...(whole ? [whole] : []),
      ...(strip ? [stripPart(strip.place, recipe)] : []),
    ],
    black: [...check.line, ...(overview?.marks ?? [])],
  };
}

/** The row of small words under another one; pixels at `ppi`. */
export const rowUnder = (words: WordsPlace, ppi: number): WordsPlace => ({
  ...words,
  top: words.top + Math.round(pixelsOf(ROW, ppi)),
});
