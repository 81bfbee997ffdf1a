import { grams, mm } from '../units';
import type { Grams, Millimetres } from '../units';
import type { PackingMaterial } from './stock';

/** A piece of packing material without name, price and stock; a tube's diameter is its width. */
export interface UsualPiece {
  kind: PackingMaterial['kind'];
  width: Millimetres;
  height: Millimetres;
  thickness: Millimetres;
  mass: Grams;
}

/** Sheets that are usually sent flat, short side then long side, mm. */
const SHEETS = [
  [210, 297],
  [300, 400],
  [297, 420],
  [400, 500],
] as const;

const flat = (
  kind: 'sleeve' | 'board' | 'mailer',
  w: number,
  h: number,
  gsm: number,
  thickness: number,
): UsualPiece => ({
  kind,
  width: mm(w),
  height: mm(h),
  thickness: mm(thickness),
  mass: grams(Math.round(((w * h) / 1e6) * gsm)),
});

const tube = (diameter: number, length: number, mass: number): UsualPiece => ({
  kind: 'tube',
  width: mm(diameter),
  height: mm(length),
  thickness: mm(2),
  mass: grams(mass),
});

/**
 * A shelf to begin with: sleeve, board and mailer for common sheets, and four tubes. Masses
 * are usual figures (rule of thumb); the scales have the last word.
 */
export const USUAL_STOCK: readonly UsualPiece[] = [
  ...SHEETS.flatMap(([w, h]) => [
    flat('sleeve', w + 5, h + 5, 65, 0.1),
    flat('board', w + 6, h + 6, 900, 1.5),
    flat('mailer', w + 20, h + 30, 1350, 3),
  ]),
  tube(50, 460, 120),
  tube(75, 560, 210),
  tube(75, 760, 290),
  tube(100, 1100, 520),
];

/** Pieces of each to begin with. */
export const USUAL_PIECES = 5;
