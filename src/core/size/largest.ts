import { MM_PER_INCH, mm, ppi } from '../units';
import type { Size } from '../units';
import type { CropRect } from './crop';
import { WHOLE } from './crop';
import type { Crispness, Enlarging, MasterPixels } from './judge';
import type { SizeRules } from './rules';
import { crispFrom } from './viewing';

/** A verdict of crispness that a print can still have; the worst has no largest size. */
export type CrispGrade = Exclude<Crispness, 'fallsShort'>;
export type EnlargedGrade = Exclude<Enlarging, 'tooFar'>;

/** The largest image of that verdict, mm; `any` when it holds at every size. */
export type Largest = Size | 'any';

/** An image of part of a master at so many inches a pixel, mm. */
const imageAt = (master: MasterPixels, part: CropRect, inchesPerPixel: number): Size => ({
  width: mm(master.width * part.width * inchesPerPixel * MM_PER_INCH),
  height: mm(master.height * part.height * inchesPerPixel * MM_PER_INCH),
});

/** The largest image of part of a master whose detail is enlarged no more than that. */
export function largestEnlarged(
  grade: EnlargedGrade,
  master: MasterPixels,
  rules: SizeRules,
  part: CropRect = WHOLE,
): Size {
  const most = {
    native: 1,
    resamplerHolds: rules.resamplerHolds,
    proofFirst: rules.proofFirst,
  }[grade];
  return imageAt(master, part, (most * (master.detail ?? 1)) / rules.printPpi);
}

/**
 * Solves for the largest image of part of a master that is still as crisp as that, or
 * crisper. All grows with the size in proportion: with u inches a pixel, a print is crisp
 * from c u, and people stand at the larger of the hand and either d u (diagonal) or a fixed
 * distance. So c u <= s max(hand, d u) holds at every size where c <= s d, and else up to
 * s hand / c.
 */
export function largestCrisp(
  grade: CrispGrade,
  master: MasterPixels,
  rules: SizeRules,
  part: CropRect = WHOLE,
): Largest {
  /** mm of distance for each inch a pixel takes. */
  const perInch = crispFrom(ppi(master.detail ?? 1));
  const hand = rules.handDistanceMm;
  const inHand = hand / perInch;
  if (grade === 'inHand') return imageAt(master, part, inHand);
  const share = grade === 'whereStand' ? rules.stepUpShare : rules.shortBeyond;
  if (rules.standing === 'diagonal') {
    const pixels = Math.hypot(master.width * part.width, master.height * part.height);
    if (perInch <= share * rules.standingFactor * pixels * MM_PER_INCH) return 'any';
  }
  const stands = Math.max(hand, rules.standing === 'fixed' ? rules.standingFixedMm : 0);
  return imageAt(master, part, Math.max(inHand, (share * stands) / perInch));
}
