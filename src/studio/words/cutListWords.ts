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

const cutLine = (
  { down, part, from }: CutInHand,
  first: boolean,
  length: Length,
  sized: Sized,
): CutLine => ({
  what: `${down ? 'down' : 'across'}, ${first ? 'the whole sheet' : sized(part)}`,
  at: `${length(from)} from ${down ? 'its left' : 'the top'}`,
});

/** All cuts of a sheet, in order. */
export const cutLines = (sheet: CutSheetPlan, length: Length, sized: Sized): CutLine[] =>
  cutsInHand(sheet).map((cut, i) => cutLine(cut, i === 0, length, sized));
