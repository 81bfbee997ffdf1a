import { numberFormat } from './intl';
import type { Minor } from './quantity';

/**
 * Decimal places of a currency (ISO 4217, as the platform's Intl knows it): 2 for EUR, 0 for JPY.
 * @example currencyDigits('JPY') // 0
 */
export const currencyDigits = (currency: string): number =>
  numberFormat('en', { style: 'currency', currency }).resolvedOptions()
    .maximumFractionDigits ?? 2;

/**
 * An amount with its currency: `€85.00`.
 * @example formatMoney(minor(8500), 'EUR', 'en-GB') // '€85.00'
 */
export const formatMoney = (amount: Minor, currency: string, locale: string): string =>
  numberFormat(locale, { style: 'currency', currency }).format(
    amount / 10 ** currencyDigits(currency),
  );

/**
 * An amount without the currency sign, for columns that name it in their head.
 * @example formatAmount(minor(123_450), 'EUR', 'en-GB') // '1,234.50'
 */
export const formatAmount = (amount: Minor, currency: string, locale: string): string => {
  const digits = currencyDigits(currency);
  return numberFormat(locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(amount / 10 ** digits);
};
