import { GANG_WORDS_POINTS, gangLayout } from '@/core/cut';
import type { CutSheetPlan, PlannedPiece, SheetRules } from '@/core/cut';
import { factText } from '@/core/facts';
import type { TargetId } from '@/core/prepare';
import type { Reading } from '@/data';
import type { SheetWords } from '@/engine';
import { printedThing } from '../reads/printedThing';
import type { PrintedThing } from '../reads/printedThing';
import { pieceWords } from '../words/sheetWords';

/** One sheet of a plan, to be written as a file. */
export interface GangOrder {
  planId: number;
  sheet: CutSheetPlan;
  pieces: PlannedPiece[];
  rules: Pick<SheetRules, 'margin' | 'marks' | 'labels'>;
  paper: string;
  /** It is a length of a roll. */
  roll: boolean;
  at?: string;
}

/** How a sheet lies and from which files it is printed, as one text: a file of it is of this very sheet. */
export const layoutText = ({
  sheet,
  pieces,
  rules,
}: Pick<GangOrder, 'sheet' | 'pieces' | 'rules'>): string =>
  factText({
    places: sheet.places.map(({ piece, x, y, turned }) => {
      const of = pieces.find((p) => p.id === piece);
      return [of?.fileId ?? null, of?.sheetId ?? null, x, y, turned];
    }),
    size: [sheet.width, sheet.length],
    rules,
  });

/** What every piece of a sheet is printed by. */
interface Common {
  things: PrintedThing[];
  ppi: number;
  target: TargetId;
  bits: 8 | 16;
}

const several = (values: readonly (string | number)[]) => [...new Set(values)];

/** What lies on a sheet, or why it cannot be one file, in a sentence. */
export async function gangThings(
  db: Reading,
  { sheet, pieces }: Pick<GangOrder, 'sheet' | 'pieces'>,
): Promise<Common | string> {
  const things: PrintedThing[] = [];
  for (const { piece } of sheet.places) {
    const of = pieces.find((p) => p.id === piece);
    const found = of && (await printedThing(db, of));
    if (!found)
      return `${of?.title ?? 'A piece'}, ${of?.size ?? ''}: no print file of it is written yet. Write it at Prepare, then put it on the plan anew.`;
    things.push(found);
  }
  const ppis = several(things.map((t) => t.ppi));
  if (ppis.length > 1)
    return `The prints of this sheet have ${ppis.join(' and ')} ppi, and a file has one. Write them at one resolution at Prepare, or move them to sheets of their own.`;
  const targets = several(things.map((t) => t.target ?? ''));
  const [target] = targets;
  if (targets.length > 1 || !target)
    return 'The prints of this sheet were written for several profiles, and a file has one. Write them for one at Prepare, or move them to sheets of their own.';
  const bits = things.some((t) => t.bits === 16) ? 16 : 8;
  return { things, ppi: things[0]!.ppi, target: target as TargetId, bits };
}

/** A sheet in pixels, with its words. */
export function laidGang(
  { sheet, pieces, rules, paper }: GangOrder,
  { things, ppi }: Common,
) {
  const sizes = sheet.places.map(({ turned }, i) => {
    const { width, height } = things[i]!;
    return turned ? { width: height, height: width } : { width, height };
  });
  const laid = gangLayout(sheet, rules, ppi, sizes);
  const words = laid.words.map(({ place, ...at }): SheetWords => {
    const of = pieces.find((p) => p.id === sheet.places[place]!.piece)!;
    return { ...at, points: GANG_WORDS_POINTS, text: `${pieceWords(of)} · ${paper}` };
  });
  return { ...laid, words };
}
