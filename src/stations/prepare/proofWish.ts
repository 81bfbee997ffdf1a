import { printPlan } from '@/core/prepare';
import type { ProofPlace, ProofProblem, ProofWish, SheetChoice } from '@/core/prepare';
import { PAGES, nominalSize } from '@/core/size';
import type { FitResult } from '@/core/size';
import { layOutStrip } from '@/core/proof';
import { PIECE_WORDS } from './sheetWords';

/** What a proof sheet is asked for, as it is kept in the tab and sent. */
export interface ProofDesk {
  sizes: string[];
  places: ProofPlace[];
  /** `auto`, `own`, or the name of a sheet. */
  sheet: string;
  /** The sheet of one's own, mm. */
  own: { width: number; height: number };
  /** mm. */
  width: number;
  height: number;
  margin: number;
  overview: boolean;
  /** Whether a control strip lies on it; desks of before do not say. */
  strip?: boolean;
}

/** Standard sheets that everyone has, mm. */
export const SHEET_CHOICES: SheetChoice[] = [
  ...['A5', 'A4', 'A3', 'A2'].flatMap((name) => {
    const known = nominalSize(`isoA-${name}`);
    return known ? [{ name, width: known.width, height: known.height }] : [];
  }),
  { name: 'Letter', ...PAGES.letter },
];

interface OfferedSize {
  key: string;
  label: string;
  fit: FitResult;
  judgement: { figures: { standing: number } };
}

/** The wish of a desk for a picture with some sizes on offer. */
export function wishOf(
  desk: ProofDesk,
  facts: { width: number; height: number },
  offered: readonly OfferedSize[],
  papers: readonly SheetChoice[],
  ppi: number,
): ProofWish {
  const all = [...SHEET_CHOICES, ...papers];
  const own = { name: 'own sheet', ...desk.own };
  const sheets = {
    auto: () => all,
    own: () => [own],
    named: () => all.filter((s) => s.name === desk.sheet),
  }[desk.sheet === 'auto' || desk.sheet === 'own' ? desk.sheet : 'named']();
  return {
    ppi,
    sheets,
    margin: desk.margin,
    piece: { width: desk.width, height: desk.height },
    places: desk.places,
    overview: desk.overview ? facts : null,
    strip: desk.strip ? layOutStrip(ppi) : null,
    sizes: offered
      .filter((o) => desk.sizes.includes(o.key))
      .map((o) => ({
        sizeKey: o.key,
        sizeLabel: o.label,
        plan: printPlan(facts, o.fit, ppi),
        standMm: o.judgement.figures.standing,
      })),
  };
}

/** Why a proof cannot be laid out, and what to do. */
export function proofProblemWords(
  problem: ProofProblem,
  places: readonly ProofPlace[],
): string {
  switch (problem.code) {
    case 'nothing':
      return 'Choose at least one size, and at least one piece: press on the picture, or let pieces be proposed.';
    case 'outside':
      return `Piece ${problem.place + 1} (${PIECE_WORDS[places[problem.place]!.tests]}) lies outside the picture as ${problem.sizeLabel} is cropped now. Move it, or take it off.`;
    case 'noRoom':
      return 'No sheet holds all these pieces at their full size. Take fewer or smaller ones, fewer sizes, or a larger sheet.';
  }
}
