import countryCurrency from 'country-to-currency';
import { isZone } from '../days';
import type { UnitMode } from '../units';

/*
 * Where a studio is, and what is usual there. Names and lists are the platform's (CLDR); which
 * currency a country pays in is ISO 4217.
 */

/** ISO 3166 codes. */
export const COUNTRIES: readonly string[] = Object.keys(countryCurrency);

/** ISO 4217 codes that the platform knows. */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency');

/** Languages beside the first of their country, in which figures are written, too. */
const BESIDE = [
  'fr-CA',
  'es-US',
  'fr-CH',
  'it-CH',
  'rm-CH',
  'fr-BE',
  'de-BE',
  'de-LU',
  'de-IT',
  'sv-FI',
  'cy-GB',
  'gd-GB',
  'ga-IE',
  'ca-ES',
  'eu-ES',
  'gl-ES',
  'af-ZA',
  'zu-ZA',
  'ta-IN',
  'bn-IN',
  'mr-IN',
  'ru-UA',
  'nn-NO',
  'fr-MA',
  'fr-DZ',
  'fr-TN',
];

/** The language that most of a country speak, with the country: `de-CH`. */
const firstOf = (country: string): string =>
  `${new Intl.Locale(`und-${country}`).maximize().language}-${country}`;

/** Locales to choose from (BCP 47): the first of each country, English there, and some beside. */
export const LOCALES: readonly string[] = [
  ...new Set([
    ...COUNTRIES.map(firstOf),
    ...COUNTRIES.map((country) => `en-${country}`),
    ...BESIDE,
  ]),
].filter((locale) => Intl.NumberFormat.supportedLocalesOf([locale]).length > 0);

/** IANA time zones that the platform knows. */
export const ZONES: readonly string[] = [
  ...new Set([...Intl.supportedValuesOf('timeZone'), 'UTC']),
];

/** How the bench of a new studio is set. */
export interface PlaceGuess {
  units: UnitMode;
  currency: string;
  locale: string;
  country: string;
  timeZone: string;
}

/** Countries that measure in inches (CLDR measurement systems US). */
const INCHES = new Set(['US', 'LR', 'MM', 'PR', 'GU', 'VI', 'AS', 'MP', 'UM']);

const knownLocale = (locale: string): Intl.Locale | null => {
  try {
    return Intl.NumberFormat.supportedLocalesOf([locale]).length > 0
      ? new Intl.Locale(locale)
      : null;
  } catch {
    return null;
  }
};

/**
 * How a bench is set in a browser of this language and time zone; what is not known there stays as
 * it was before. Every part of it is a guess, to be shown and changed.
 * @example guessPlace({ locale: 'en-US', timeZone: 'America/Los_Angeles' }, { units: 'metric', currency: 'EUR', locale: 'en-GB', country: '', timeZone: 'UTC' })
 * // { units: 'inch', currency: 'USD', locale: 'en-US', country: 'US', timeZone: 'America/Los_Angeles' }
 */
export function guessPlace(
  browser: { locale: string; timeZone: string },
  before: PlaceGuess,
): PlaceGuess {
  const locale = knownLocale(browser.locale);
  const timeZone = isZone(browser.timeZone) ? browser.timeZone : before.timeZone;
  if (!locale) return { ...before, timeZone };
  // A language without a country says the one where most speak it.
  const country = locale.region ?? locale.maximize().region ?? '';
  const known = COUNTRIES.includes(country);
  return {
    units: known ? (INCHES.has(country) ? 'inch' : 'metric') : before.units,
    currency:
      (known ? countryCurrency[country as keyof typeof countryCurrency] : null) ??
      before.currency,
    locale: known ? `${locale.language}-${country}` : browser.locale,
    country: known ? country : before.country,
    timeZone,
  };
}
