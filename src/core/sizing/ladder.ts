import { turnedLike } from '../units';
import type { Millimetres } from '../units';
import { FAMILIES, lyingLabel } from './families';
import type { FamilyId, NominalSize } from './families';
import { fitToSheet } from './fit';
import type { Fit, FitResult } from './fit';
import { judgeSize } from './judge';
import type { MasterPixels, SizeJudgement } from './judge';
import type { SizingRules } from './rules';

export interface Rung {
  key: string;
  label: string;
  fit: FitResult;
  judgement: SizeJudgement;
}

/** One size of the ladder, turned the way the picture lies; null when the border eats the sheet. */
export function rung(
  nominal: NominalSize,
  master: MasterPixels,
  border: Millimetres,
  fit: Fit,
  rules: SizingRules,
): Rung | null {
  const sheet = turnedLike(nominal, master);
  if (Math.min(sheet.width, sheet.height) <= 2 * border) return null;
  const laid = fitToSheet(
    { width: sheet.width, height: sheet.height },
    master.width / master.height,
    border,
    fit,
  );
  return {
    key: nominal.key,
    label: lyingLabel(nominal, sheet),
    fit: laid,
    judgement: judgeSize(master, laid, rules),
  };
}

/** All sizes of a family that leave room to print inside the border, smallest first. */
export const ladder = (
  family: FamilyId,
  master: MasterPixels,
  border: Millimetres,
  fit: Fit,
  rules: SizingRules,
): Rung[] =>
  FAMILIES[family]
    .map((nominal) => rung(nominal, master, border, fit, rules))
    .filter((r) => r !== null);
