import { cutsInHand } from '@/core/cut';
import type { CutInHand, CutSheetPlan } from '@/core/cut';

type Length = (mm: number) => string;

/** What is said before the first cut. */
export const CUT_CAUTIONS = [
  'Fingers stay behind the guard; with rule and blade the free hand holds the rule, never in the way of the blade.',
  'Hold the rule on the print’s side: a slip then runs into waste.',
  'A new blade, several light strokes. The trimmer’s manual says what it takes.',
] as const;

/** One cut: which part is in hand, which way, and where the stop is set. */
export function cutWords(
  { down, part, from }: CutInHand,
  first: boolean,
  length: Length,
): string {
  const where = first
    ? 'the whole sheet'
    : `the part ${length(part.width)} × ${length(part.height)}`;
  return down
    ? `down through ${where}, ${length(from)} from its left`
    : `across ${where}, ${length(from)} from its top`;
}

/** All cuts of a sheet, in order. */
export const cutLines = (sheet: CutSheetPlan, length: Length): string[] =>
  cutsInHand(sheet).map((cut, i) => cutWords(cut, i === 0, length));
