import { cutsInHand } from '@/core/cut';
import type { CutInHand, CutSheetPlan } from '@/core/cut';

type Length = (mm: number) => string;
type Sized = (of: { width: number; height: number }) => string;

/** What is said before the first cut. */
export const CUT_CAUTIONS = [
  'Fingers stay behind the guard; with rule and blade the free hand holds the rule, never in the way of the blade.',
  'Hold the rule on the print’s side: a slip then runs into waste.',
  'A new blade, several light strokes. The trimmer’s manual says what it takes.',
] as const;

/** One cut: which way, which part is in hand, and where the stop is set. */
export interface CutLine {
  what: string;
  at: string;
}

/** What the two ways are called: of a roll by the way that it runs, as it lies on the table. */
const WAYS = {
  sheet: { down: ['down', 'its left'], across: ['across', 'the top'] },
  roll: { down: ['along', 'its edge'], across: ['across', 'its start'] },
} as const;

const cutLine = (
  { down, part, from }: CutInHand,
  first: boolean,
  roll: boolean,
  length: Length,
  sized: Sized,
): CutLine => {
  const [way, edge] = WAYS[roll ? 'roll' : 'sheet'][down ? 'down' : 'across'];
  return {
    what: `${way}, ${first ? 'the whole of it' : sized(part)}`,
    at: `${length(from)} from ${edge}`,
  };
};

/** All cuts of a sheet, in order. */
export const cutLines = (
  sheet: CutSheetPlan,
  roll: boolean,
  length: Length,
  sized: Sized,
): CutLine[] =>
  cutsInHand(sheet).map((cut, i) => cutLine(cut, i === 0, roll, length, sized));
