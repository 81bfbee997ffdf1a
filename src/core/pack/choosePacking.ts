import { mm, minus, sum } from '../units';
import type { GramsPerSquareMetre, Millimetres, Size } from '../units';
import type { PackRules } from './rules';
import type { FlatMaterial, PackingMaterial, Tube } from './stock';

export interface PrintToPack extends Size {
  weight: GramsPerSquareMetre;
  thickness: Millimetres;
}

export type Packing =
  | {
      way: 'flat';
      sleeve: FlatMaterial;
      board: FlatMaterial;
      mailer: FlatMaterial;
      /** Room left in the mailer beside the board, the narrower of the two sides. */
      spare: Millimetres;
      why: 'fitsFlat';
    }
  | { way: 'rolled'; tube: Tube; spare: Millimetres; why: 'tooLargeFlat' | 'noMailer' };

export type NoPacking = {
  way: 'none';
  missing: ('sleeve' | 'board' | 'mailer' | 'tube')[];
  needed: { flat: Size; tubeDiameter: Millimetres; tubeLength: Millimetres };
};

const sorted = (s: Size): [number, number] =>
  s.width <= s.height ? [s.width, s.height] : [s.height, s.width];

/** Does `inner` lie inside `outer`, in either orientation, with `play` to spare in all? */
export function liesInside(inner: Size, outer: Size, play: number): boolean {
  const [a, b] = sorted(inner);
  const [c, d] = sorted(outer);
  return a + play <= c + 1e-9 && b + play <= d + 1e-9;
}

const flatArea = (s: Size) => s.width * s.height;

/** Smallest piece of a kind in stock that takes the size with that much play. */
function smallest(
  materials: readonly PackingMaterial[],
  kind: FlatMaterial['kind'],
  inner: Size,
  play: number,
): FlatMaterial | undefined {
  return materials
    .filter((m): m is FlatMaterial => m.kind === kind && m.stock > 0)
    .filter((m) => liesInside(inner, m, play))
    .sort((a, b) => flatArea(a) - flatArea(b))[0];
}

/** Tube inside diameter from the paper's weight: about 50 mm to 250 g/m2, 75 mm above. */
export const tubeDiameter = (weight: GramsPerSquareMetre, rules: PackRules): Millimetres =>
  mm(weight <= rules.thinTubeUpTo ? rules.thinTube : rules.thickTube);

/**
 * Flat (sleeve, board, rigid mailer) when the print is not over the limit and the stock has
 * all three; otherwise rolled in the shortest tube that is wide enough for the paper.
 */
export function choosePacking(
  print: PrintToPack,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): Packing | NoPacking {
  const sleeve = smallest(materials, 'sleeve', print, 0);
  const board = smallest(materials, 'board', print, 2 * rules.boardMargin);
  const mailer = board && smallest(materials, 'mailer', board, rules.mailerPlay);
  const goesFlat = Math.max(print.width, print.height) <= rules.flatLimit;
  if (goesFlat && sleeve && board && mailer) {
    const [a, b] = sorted(board);
    const [c, d] = sorted(mailer);
    return {
      way: 'flat',
      sleeve,
      board,
      mailer,
      spare: mm(Math.min(c - a, d - b)),
      why: 'fitsFlat',
    };
  }
  const diameter = tubeDiameter(print.weight, rules);
  const length = sum(mm(sorted(print)[0]), mm(rules.tubeEndPlay));
  const tube = materials
    .filter((m): m is Tube => m.kind === 'tube' && m.stock > 0)
    .filter((t) => t.diameter >= diameter && t.length >= length)
    .sort((a, b) => a.length - b.length || a.diameter - b.diameter)[0];
  if (tube)
    return {
      way: 'rolled',
      tube,
      spare: minus(tube.length, mm(sorted(print)[0])),
      why: goesFlat ? 'noMailer' : 'tooLargeFlat',
    };
  const missing: NoPacking['missing'] = ['tube'];
  if (goesFlat) {
    if (!sleeve) missing.push('sleeve');
    if (!board) missing.push('board');
    if (!mailer) missing.push('mailer');
  }
  const flat = {
    width: mm(print.width + 2 * rules.boardMargin),
    height: mm(print.height + 2 * rules.boardMargin),
  };
  return {
    way: 'none',
    missing,
    needed: { flat, tubeDiameter: diameter, tubeLength: length },
  };
}
