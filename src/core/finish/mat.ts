import { mm } from '../units';
import type { Millimetres, Size } from '../units';

/** `overlap`: opening smaller than the image. `reveal`: opening larger, to show border and signature. */
export type MatStyle = 'overlap' | 'reveal';

export interface MatInput {
  image: Size;
  /** White on the sheet around the image, each side. */
  margins: { sides: Millimetres; above: Millimetres; below: Millimetres };
  style: MatStyle;
  /** Per side: how far the mat lies over the image, or how much white it shows. */
  perSide: Millimetres;
  /** How far print, mat and frame may each be off; the worst case adds them all. */
  tolerances: readonly Millimetres[];
  borders: { sides: Millimetres; above: Millimetres; below: Millimetres };
  mouldingWidth: Millimetres;
  /** Lost at each of the eight mitres, saw or chop. */
  sawLoss: Millimetres;
  glazing: { thickness: Millimetres; material: 'glass' | 'acrylic' };
}

export interface MatPlan {
  opening: Size;
  outside: Size;
  /** Rabbet size: mat outside plus play. */
  frame: Size;
  worstCase: Millimetres;
  /** perSide exceeds the worst case of all tolerances. */
  holds: boolean;
  /** Sheet behind the mat on the narrowest side; the print falls through when not above the worst case. */
  heldBy: Millimetres;
  catches: boolean;
  mouldingLength: Millimetres;
  /** Grams of the glazing alone. */
  glazingGrams: number;
  /** The pencilled number below the image stays visible in the opening. */
  signatureShows: boolean;
}

/** Rule of thumb: play between mat and rabbet, on the whole length. */
export const RABBET_PLAY = mm(3);
const KG_PER_M2_PER_MM = { glass: 2.5, acrylic: 1.2 };
/** White a pencilled line needs to be read, mm. */
const SIGNATURE_HEIGHT = 8;

/**
 * Plans a window mat and its frame. Opening smaller than the image: overlap per side =
 * (image - opening) / 2. Moulding: 2 (W + H) + 8 moulding widths + saw loss. All lengths mm. Throws where the overlap leaves no opening.
 * @example planMat({ image: size(300, 400), margins: { sides: mm(30), above: mm(30), below: mm(30) }, style: 'overlap', perSide: mm(3), tolerances: [mm(1), mm(1)], borders: { sides: mm(60), above: mm(60), below: mm(80) }, mouldingWidth: mm(20), sawLoss: mm(3), glazing: { thickness: mm(2), material: 'acrylic' } }) // { opening: { width: 294, height: 394 }, outside: { width: 414, height: 534 } }
 */
export function planMat(input: MatInput): MatPlan {
  const sign = input.style === 'overlap' ? -1 : 1;
  const opening = {
    width: mm(input.image.width + sign * 2 * input.perSide),
    height: mm(input.image.height + sign * 2 * input.perSide),
  };
  if (opening.width <= 0 || opening.height <= 0)
    throw new RangeError('overlap larger than the image');
  const outside = {
    width: mm(opening.width + 2 * input.borders.sides),
    height: mm(opening.height + input.borders.above + input.borders.below),
  };
  const frame = {
    width: mm(outside.width + RABBET_PLAY),
    height: mm(outside.height + RABBET_PLAY),
  };
  const worstCase = mm(input.tolerances.reduce<number>((total, t) => total + t, 0));
  const { sides, above, below } = input.margins;
  const heldBy = mm(Math.min(sides, above, below) - sign * input.perSide);
  return {
    opening,
    outside,
    frame,
    worstCase,
    holds: input.perSide > worstCase,
    heldBy,
    catches: heldBy > worstCase,
    mouldingLength: mm(
      2 * (frame.width + frame.height) + 8 * input.mouldingWidth + 8 * input.sawLoss,
    ),
    glazingGrams:
      ((frame.width * frame.height) / 1e6) *
      KG_PER_M2_PER_MM[input.glazing.material] *
      input.glazing.thickness *
      1000,
    signatureShows: input.style === 'reveal' && input.perSide >= SIGNATURE_HEIGHT,
  };
}
