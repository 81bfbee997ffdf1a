import { grams } from '../units';
import type { Grams } from '../units';
import type { Parcel } from './parcelOf';
import type { Part } from './parts';
import type { PackRules } from './rules';

export interface ScaleCheck {
  agrees: boolean;
  /** Scales minus computation: negative when something is missing. */
  difference: Grams;
  tolerance: Grams;
  /** Parts whose own mass explains the difference, nearest first. */
  suspects: Part[];
}

/**
 * Holds what the scales say against the computed weight.
 * @example checkScales({ parts: [], total: grams(640) }, grams(610), { scaleTolerance: 20 }) // { agrees: false, difference: -30 }
 */
export function checkScales(
  parcel: Pick<Parcel, 'parts' | 'total'>,
  weighed: Grams,
  rules: Pick<PackRules, 'scaleTolerance'>,
): ScaleCheck {
  const difference = grams(weighed - parcel.total);
  const tolerance = grams(rules.scaleTolerance);
  const off = (mass: number) => Math.abs(mass + difference);
  return {
    agrees: Math.abs(difference) <= tolerance,
    difference,
    tolerance,
    suspects: parcel.parts
      .filter((p) => difference < 0 && off(p.mass) <= tolerance)
      .sort((a, b) => off(a.mass) - off(b.mass)),
  };
}
