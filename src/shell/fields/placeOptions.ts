import { COUNTRIES, CURRENCIES, LOCALES, ZONES } from '@/core/place';
import { formatNumber } from '@/core/units';

/** Names are in the language of the interface. */
const NAMED_IN = 'en';

type Options = readonly (readonly [value: string, label: string])[];

const byName = (values: readonly string[], name: (value: string) => string): Options =>
  values
    .map((value) => [value, name(value)] as const)
    .sort(([, a], [, b]) => a.localeCompare(b, NAMED_IN));

const names = (type: 'region' | 'currency' | 'language') => {
  const known = new Intl.DisplayNames(NAMED_IN, { type, languageDisplay: 'standard' });
  return (code: string) => known.of(code) ?? code;
};

/** A list, with what is chosen on it, whatever list this browser has. */
const including = (values: readonly string[], chosen: string): readonly string[] =>
  values.includes(chosen) ? values : [chosen, ...values];

/** What is chosen from lists: where the studio is, and how things are written there. */
export function placeOptions({
  locale,
  currency,
  timeZone,
}: {
  locale: string;
  currency: string;
  timeZone: string;
}): Readonly<Record<string, Options>> {
  const [region, money, language] = [names('region'), names('currency'), names('language')];
  return {
    units: [
      ['metric', 'millimetres, centimetres'],
      ['inch', 'inches'],
    ],
    country: [['', 'not said'], ...byName(COUNTRIES, (c) => `${region(c)}, ${c}`)],
    currency: byName(including(CURRENCIES, currency), (c) => `${money(c)}, ${c}`),
    locale: byName(
      including(LOCALES, locale),
      (l) => `${language(l)}: ${formatNumber(12345.5, 1, l)}`,
    ),
    timeZone: byName(including(ZONES, timeZone), (z) =>
      z.replaceAll('_', ' ').replace(/^([^/]*)\/(.*)$/, '$2, $1'),
    ),
  };
}
