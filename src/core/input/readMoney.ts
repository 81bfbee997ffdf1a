import { currencyDigits, minor } from '../units';
import type { Minor } from '../units';
import { numberFormat } from '../units/intl';
import { numberReadings } from './numberReadings';
import type { NumberRead } from './numberReadings';
import { plainFigures } from './plainFigures';
import { Unfit, settle } from './undecided';
import type { Undecided } from './undecided';

/** What a currency is called on price tags here: its code, its signs. Longest first. */
const namesOf = (currency: string, locale: string): string[] =>
  [locale, 'en']
    .flatMap((l) =>
      (['symbol', 'narrowSymbol', 'code'] as const).map((currencyDisplay) =>
        plainFigures(
          numberFormat(l, { style: 'currency', currency, currencyDisplay })
            .formatToParts(1)
            .find((p) => p.type === 'currency')?.value ?? '',
        ),
      ),
    )
    .filter(Boolean)
    .sort((a, b) => b.length - a.length);

/** The figure without the name of the currency, before or behind it. */
function withoutName(text: string, names: string[]): string {
  const low = text.toLowerCase();
  for (const name of names) {
    const own = name.toLowerCase();
    const sign = /^[-+]/.exec(low)?.[0] ?? '';
    if (low.slice(sign.length).startsWith(own))
      return sign + text.slice(sign.length + name.length).trim();
    if (low.endsWith(own)) return text.slice(0, -name.length).trim();
  }
  return text;
}

/**
 * Money as people of this locale write it, in minor units of the currency (ISO 4217), with its
 * sign or code or without: `120`, `€ 1,234.50`, `12.–`. What it may mean where it is written as
 * elsewhere; unfit where it names another currency or has more decimal places than this one;
 * null where it is no amount.
 * @example readMoney('1.234,50 €', 'EUR', 'de-DE') // 123_450
 */
export function readMoney(
  typed: string,
  currency: string,
  locale: string,
): Minor | Undecided<Minor> | Unfit | null {
  const figure = withoutName(plainFigures(typed), namesOf(currency, locale));
  const { own, elsewhere } = numberReadings(
    figure.replace(/[.,]-{1,2}$/, ''),
    locale,
    currency,
  );
  const digits = currencyDigits(currency);
  const amount = (r: NumberRead) => minor(r.value * 10 ** digits);
  const fitting = (reads: NumberRead[]) =>
    reads.filter((r) => r.decimals <= digits).map(amount);
  const read = settle(fitting(own), fitting(elsewhere));
  if (read !== null) return read;
  const [finer] = own;
  if (finer) {
    const kept = amount(finer);
    return Math.abs(kept - finer.value * 10 ** digits) < 1e-6
      ? kept
      : new Unfit(
          digits === 0
            ? `${currency} has no decimal places`
            : `${currency} has ${digits} decimal places`,
        );
  }
  return /\d/.test(figure) && /\p{Sc}|[A-Z]{3}/u.test(figure)
    ? new Unfit(`amounts are in ${currency} here`)
    : null;
}
