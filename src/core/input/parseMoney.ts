import { currencyDigits, minor } from '../units';
import type { Minor } from '../units';
import { parseNumber } from './parseNumber';

/**
 * Reads money as typed (`120`, `1.234,50`, `€ 85`) in minor units of a currency (ISO 4217);
 * null when it is not an amount.
 * @example parseMoney('€ 1.234,50', 'EUR') // 123_450
 */
export function parseMoney(text: string, currency: string): Minor | null {
  const value = parseNumber(text.replace(/[\p{Sc}A-Za-z]/gu, ''));
  return value === null ? null : minor(value * 10 ** currencyDigits(currency));
}
