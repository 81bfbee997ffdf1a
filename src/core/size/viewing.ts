import { diagonal, mm, mmOf } from '../units';
import type { Millimetres, Ppi, Size } from '../units';
import type { SizeRules } from './rules';

/** One arc minute of visual acuity: 1 inch / tan(1/60 degree), in inch-pixels. */
const ACUITY_INCHES = 3438;

/**
 * Distance from which a print of that resolution is crisp: 3438 / ppi inches.
 * @example crispFrom(ppi(300)) // 291.08
 */
export const crispFrom = (resolution: Ppi): Millimetres => mmOf(ACUITY_INCHES, resolution);

/**
 * Where the whole picture is comfortably seen: a factor (1 immersive, 1.5, 2 formal) times the diagonal.
 * @example standingDistance(size(300, 400), 1.5) // 750
 */
export const standingDistance = (print: Size, factor: number): Millimetres =>
  mm(diagonal(print) * factor);

/** Where people stand before an image by the rule in force; never nearer than a hand holds it. */
export function standsAt(
  image: Size,
  rules: Pick<
    SizeRules,
    'standing' | 'standingFactor' | 'standingFixedMm' | 'handDistanceMm'
  >,
): Millimetres {
  const from = {
    diagonal: () => standingDistance(image, rules.standingFactor),
    fixed: () => mm(rules.standingFixedMm),
    hand: () => mm(rules.handDistanceMm),
  }[rules.standing]();
  // Small prints are held in the hand, however short their diagonal.
  return mm(Math.max(rules.handDistanceMm, from));
}
