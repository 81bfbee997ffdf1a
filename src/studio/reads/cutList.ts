import type { CutSheetPlan, PlannedPiece } from '@/core/cut';
import { formatLength, formatSize, mm, size } from '@/core/units';
import { readSettings } from '@/data';
import type { BenchSettings, Reading } from '@/data';
import type { CutListSheet } from '@/documents';
import { CUT_CAUTIONS, cutLines } from '../words/cutListWords';
import { pieceWords, purposeOf } from '../words/sheetWords';

/** A sheet of a plan, as its list of cuts is made from it. */
export interface ListedSheet {
  sheet: CutSheetPlan;
  pieces: readonly PlannedPiece[];
  paper: string;
  /** Which sheet of the plan, from 1; of a file that is written alone none. */
  number?: number;
  /** It is a length of a roll. */
  roll: boolean;
}

/** The list of cuts of a sheet, in the units of the bench. */
export function cutList(
  { sheet, pieces, paper, number, roll }: ListedSheet,
  { units, locale }: Pick<BenchSettings, 'units' | 'locale'>,
): CutListSheet {
  const length = (v: number) => formatLength(mm(v), units, locale);
  const sized = (of: { width: number; height: number }) =>
    formatSize(size(of.width, of.height), units, locale);
  const of = (id: string) => pieces.find((p) => p.id === id)!;
  const whole = sized({ width: sheet.width, height: sheet.length });
  const kept = sheet.rests.filter((r) => r.kept);
  return {
    title: number === undefined ? `Sheet of ${paper}` : `Sheet ${number}: ${paper}`,
    about: `${whole}, ${sheet.places.length} pieces, ${sheet.cuts.length} cuts. Lengths are from the edges of the part in hand.`,
    sheet,
    names: sheet.places.map((p) => [of(p.piece).title, purposeOf(of(p.piece))].join(', ')),
    rests: sheet.rests.map((r) => (r.kept ? sized(r) : '')),
    steps: cutLines(sheet, roll, length, sized).map(
      ({ what, at }, i) => `${i + 1}  ${what}: ${at}`,
    ),
    pieces: sheet.places.map(
      (p) => `${pieceWords(of(p.piece))}, ${sized(p)}${p.turned ? ', turned' : ''}`,
    ),
    leftOvers: kept.map((r) => `${sized(r)} is kept as stock`),
    cautions: CUT_CAUTIONS,
  };
}

/** The same, by the settings of now. */
export const cutListOf = async (db: Reading, of: ListedSheet): Promise<CutListSheet> =>
  cutList(of, await readSettings(db));
