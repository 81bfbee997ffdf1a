import { currencyDigits } from '../units';
import type { Millimetres, Minor, UnitMode } from '../units';
import { MM_PER_INCH, toInches } from '../units';

/**
 * An amount as it stands in a field: without currency and groups. Read back it is the same.
 * @example writeAmount(minor(123_450), 'EUR') // '1234.50'
 */
export const writeAmount = (amount: Minor, currency: string): string => {
  const digits = currencyDigits(currency);
  return (amount / 10 ** digits).toFixed(digits);
};

/**
 * A bare number as it stands in a field.
 * @example writeNumber(0.1 + 0.2) // '0.3'
 */
export const writeNumber = (value: number, digits = 6): string =>
  String(Number(value.toFixed(digits)));

/**
 * A share as it stands in a field, in per cent.
 * @example writePercent(0.125) // '12.5'
 */
export const writePercent = (share: number): string => writeNumber(share * 100, 4);

/**
 * A length as it stands in a field, with its unit: read back in either mode it is the same.
 * @example writeLength(mm(304.8), 'inch') // '12 in'
 */
export function writeLength(length: Millimetres, units: UnitMode): string {
  const inches = writeNumber(toInches(length), 4);
  // 300 mm are no round inches: rounded to four digits they would come back as 299.9994 mm.
  const exact = Math.abs(Number(inches) * MM_PER_INCH - length) < 1e-9;
  return units === 'inch' && exact ? `${inches} in` : `${writeNumber(length, 6)} mm`;
}
