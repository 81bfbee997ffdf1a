import { formatNumber, figure, THIN } from './formatLength';
import type { Grams } from './quantity';
import type { UnitMode } from './unitMode';

/** Grams in one avoirdupois pound and one ounce, exact by definition (international yard and pound agreement, 1959). */
export const GRAMS_PER_POUND = 453.59237;
export const GRAMS_PER_OUNCE = GRAMS_PER_POUND / 16;

/**
 * A mass: grams under a kilogram, kilograms above; ounces under a pound, pounds above.
 * @example formatMass(1240, 'metric', 'en-GB') // '1.24 kg'
 * @example formatMass(1240, 'inch', 'en-US') // '2.73 lb'
 */
export function formatMass(mass: Grams | number, mode: UnitMode, locale: string): string {
  if (mode === 'metric')
    return mass < 1000
      ? `${figure(mass, mass < 20 ? 1 : 0, locale)}${THIN}g`
      : `${formatNumber(mass / 1000, 2, locale)}${THIN}kg`;
  const ounces = mass / GRAMS_PER_OUNCE;
  return ounces < 16
    ? `${figure(ounces, ounces < 1 ? 2 : 1, locale)}${THIN}oz`
    : `${formatNumber(ounces / 16, 2, locale)}${THIN}lb`;
}
