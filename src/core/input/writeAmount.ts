import { currencyDigits } from '../units';
import type { Millimetres, Minor, UnitMode } from '../units';
import { MM_PER_INCH, toInches } from '../units';

/** An amount as it stands in a field: without currency and groups. Read back it is the same. */
export const writeAmount = (amount: Minor, currency: string): string => {
  const digits = currencyDigits(currency);
  return (amount / 10 ** digits).toFixed(digits);
};

/** A bare number as it stands in a field. */
export const writeNumber = (value: number, digits = 6): string =>
  String(Number(value.toFixed(digits)));

/** A share as it stands in a field, in per cent. */
export const writePercent = (share: number): string => writeNumber(share * 100, 4);

/** A length as it stands in a field, with its unit: read back in either mode it is the same. */
export function writeLength(length: Millimetres, units: UnitMode): string {
  const inches = writeNumber(toInches(length), 4);
  // 300 mm are no round inches: rounded to four digits they would come back as 299.9994 mm.
  const exact = Math.abs(Number(inches) * MM_PER_INCH - length) < 1e-9;
  return units === 'inch' && exact ? `${inches} in` : `${writeNumber(length, 6)} mm`;
}
