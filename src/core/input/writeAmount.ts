import { currencyDigits } from '../units';
import type { Millimetres, Minor, UnitMode } from '../units';
import { GRAMS_PER_OUNCE, MM_PER_INCH, toInches } from '../units';
import { numberFormat } from '../units/intl';

/** A figure as the locale writes it, without groups: read back it is the same. */
const plain = (value: number, least: number, most: number, locale: string): string =>
  numberFormat(locale, {
    minimumFractionDigits: least,
    maximumFractionDigits: most,
    useGrouping: false,
  }).format(Number(value.toFixed(most)) || 0);

/**
 * An amount as it stands in a field: without currency and groups. Read back it is the same.
 * @example writeAmount(minor(123_450), 'EUR', 'de-DE') // '1234,50'
 */
export const writeAmount = (amount: Minor, currency: string, locale: string): string => {
  const digits = currencyDigits(currency);
  return plain(amount / 10 ** digits, digits, digits, locale);
};

/**
 * A bare number as it stands in a field.
 * @example writeNumber(0.1 + 0.2, 'en-GB') // '0.3'
 */
export const writeNumber = (value: number, locale: string, digits = 6): string =>
  plain(value, 0, digits, locale);

/**
 * A share as it stands in a field, in per cent.
 * @example writePercent(0.125, 'en-GB') // '12.5'
 */
export const writePercent = (share: number, locale: string): string =>
  writeNumber(share * 100, locale, 4);

/**
 * A length as it stands in a field, with its unit: read back in either mode it is the same.
 * @example writeLength(mm(304.8), 'inch', 'en-GB') // '12 in'
 */
export function writeLength(length: Millimetres, units: UnitMode, locale: string): string {
  const inches = Number(toInches(length).toFixed(4));
  // 300 mm are no round inches: rounded to four digits they would come back as 299.9994 mm.
  const exact = Math.abs(inches * MM_PER_INCH - length) < 1e-9;
  return units === 'inch' && exact
    ? `${writeNumber(inches, locale, 4)} in`
    : `${writeNumber(length, locale, 6)} mm`;
}

/**
 * How thick a sheet is, as it stands in a field: read back in either mode it is the same.
 * @example writeThickness(mm(0.381), 'inch', 'en-US') // '15 mil'
 */
export function writeThickness(
  thickness: Millimetres,
  units: UnitMode,
  locale: string,
): string {
  const mils = Number((toInches(thickness) * 1000).toFixed(2));
  const exact = Math.abs((mils * MM_PER_INCH) / 1000 - thickness) < 1e-9;
  return units === 'inch' && exact
    ? `${writeNumber(mils, locale, 2)} mil`
    : `${writeNumber(thickness, locale, 6)} mm`;
}

/**
 * A mass as it stands in a field, with its unit: read back in either mode it is the same.
 * @example writeMass(340.194278, 'inch', 'en-US') // '12 oz'
 */
export function writeMass(grams: number, units: UnitMode, locale: string): string {
  const ounces = Number((grams / GRAMS_PER_OUNCE).toFixed(4));
  const exact = Math.abs(ounces * GRAMS_PER_OUNCE - grams) < 1e-6;
  return units === 'inch' && exact
    ? `${writeNumber(ounces, locale, 4)} oz`
    : `${writeNumber(grams, locale, 6)} g`;
}
