import { choice, hinted, text } from '../input';
import type { Field } from '../input';
import { isZone, readClosedDays, writeClosedDays } from '../days';
import type { ClosedSpan } from '../days';
import { COUNTRIES, CURRENCIES } from './places';

const knownLocale = (typed: string): string | null => {
  try {
    const [own] = Intl.getCanonicalLocales(typed.trim());
    return own && Intl.NumberFormat.supportedLocalesOf([own]).length > 0 ? own : null;
  } catch {
    return null;
  }
};

/** How figures and days are written: a BCP 47 locale that the platform knows. */
export const localeField: Field<string> = {
  ...text('Figures and days as in', { max: 35 }),
  read: knownLocale,
  example: 'a language and a country, such as en-GB or de-DE',
};

/** The studio's time zone: an IANA name. */
export const zoneField: Field<string> = {
  ...text('Time zone', { max: 60 }),
  read: (typed) => (isZone(typed.trim()) ? typed.trim() : null),
  example: 'a time zone such as Europe/Lisbon',
};

/** The studio's country, ISO 3166; none where it was not said. */
export const countryField: Field<string> = {
  ...choice('Country', ['', ...COUNTRIES]),
  example: 'a country of the list',
};

/** The studio's currency, ISO 4217. */
export const currencyField: Field<string> = {
  ...choice('Currency', CURRENCIES),
  example: 'a currency of the list',
};

const SPAN = {
  type: 'object',
  additionalProperties: false,
  required: ['from', 'to'],
  properties: {
    from: { type: 'string', maxLength: 10 },
    to: { type: 'string', maxLength: 10 },
  },
};

/** When the studio is closed, beside weekends and holidays. */
export const closedField: Field<ClosedSpan[]> = hinted(
  {
    ...(text('Closed, too') as unknown as Field<ClosedSpan[]>),
    schema: { type: 'array', maxItems: 60, items: SPAN },
    longest: 2000,
    listed: (typed) => typed.split(/[,;\n]/),
    read: readClosedDays,
    write: (spans) => writeClosedDays(spans),
    example: 'days such as 12-24, 2027-07-01 to 2027-07-14',
  },
  'such as 12-24 (every year), 2027-07-01 to 2027-07-14',
);
