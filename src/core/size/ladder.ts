import { turnedLike } from '../units';
import { lyingLabel } from './families';
import type { NominalSize } from './nominalSize';
import { fitToSheet } from './fit';
import type { FitResult } from './fit';
import { judgeSize } from './judge';
import type { MasterPixels, SizeJudgement } from './judge';
import type { Layout } from './layout';
import { ratioName } from './ratios';
import type { SizeRules } from './rules';

export interface Rung {
  key: string;
  label: string;
  /** The name of the nominal size's ratio. */
  ratio: string;
  fit: FitResult;
  judgement: SizeJudgement;
}

/** Whether borders leave some of a nominal size to print on, whichever way it lies. */
export const leavesRoom = (
  sheet: { width: number; height: number },
  { place, borders }: Layout,
): boolean =>
  place === 'outside' ||
  (sheet.width > borders.left + borders.right &&
    sheet.height > borders.above + borders.below);

/**
 * One size of the ladder, turned the way the picture lies, with the crop that was chosen for
 * its ratio; null when the borders eat the sheet.
 */
export function rung(
  nominal: NominalSize,
  master: MasterPixels,
  layout: Layout,
  rules: SizeRules,
): Rung | null {
  const { width, height } = turnedLike(nominal, master);
  const sheet = { width, height };
  if (!leavesRoom(sheet, layout)) return null;
  const ratio = ratioName(nominal);
  const laid = fitToSheet(
    sheet,
    master.width / master.height,
    layout,
    master.crops?.[ratio],
  );
  return {
    key: nominal.key,
    label: lyingLabel(nominal, sheet),
    ratio,
    fit: laid,
    judgement: judgeSize(master, laid, rules),
  };
}

/** All the given sizes that leave room to print within the borders, in their order. */
export const ladder = (
  sizes: readonly NominalSize[],
  master: MasterPixels,
  layout: Layout,
  rules: SizeRules,
): Rung[] =>
  sizes.map((nominal) => rung(nominal, master, layout, rules)).filter((r) => r !== null);
