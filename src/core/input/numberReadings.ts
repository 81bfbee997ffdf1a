import { NumberParser } from '@internationalized/number';
import { numberFormat } from '../units/intl';
import { plainFigures } from './plainFigures';

/** One number that a text may mean, and how many decimal places were typed. */
export interface NumberRead {
  value: number;
  decimals: number;
}

/** What a text may mean: as the bench writes numbers, and as they are written elsewhere. */
export interface NumberReadings {
  own: NumberRead[];
  elsewhere: NumberRead[];
}

/** The conventions in use: which mark parts the decimals, which the thousands. */
const CONVENTIONS = ['en-GB', 'de-DE', 'fr-FR', 'de-CH', 'en-IN'];

/** Decimal places beyond which nobody types; formatters know no more either. */
const MOST_DECIMALS = 60;

interface Convention {
  parser: NumberParser;
  format: (decimals: number, grouped: boolean) => Intl.NumberFormat;
  /** Between whole and decimals, between thousands; spaces and apostrophes plain. */
  decimal: string;
  group: string;
}

const conventions = new Map<string, Convention>();

/** How a locale writes numbers, in Latin digits; of a currency where one is named. */
function conventionOf(locale: string, currency?: string): Convention {
  const key = `${locale} ${currency ?? ''}`;
  const known = conventions.get(key);
  if (known) return known;
  const latin = new Intl.Locale(locale, { numberingSystem: 'latn' }).toString();
  const style: Intl.NumberFormatOptions = currency ? { style: 'currency', currency } : {};
  const format = (decimals: number, grouped: boolean) =>
    numberFormat(latin, {
      ...style,
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
      useGrouping: grouped ? 'always' : false,
    });
  const parts = format(2, true).formatToParts(1234567.25);
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? '';
  const made = {
    parser: new NumberParser(latin, style),
    format,
    decimal: plainFigures(part('decimal')),
    group: plainFigures(part('group')) || ' ',
  };
  conventions.set(key, made);
  return made;
}

/** Where digits, marks and the sign stand, without saying which digits. */
const shape = (text: string) =>
  text.replace(/\d/g, 'd').replace(/[^d.,' -]/g, (c) => (c.trim() === '' ? ' ' : c));

/** The figure of a formatted amount, without its currency. */
const figureOf = (format: Intl.NumberFormat, value: number) =>
  format
    .formatToParts(value)
    .filter(({ type }) => /integer|decimal|fraction|group|minusSign/.test(type))
    .map((p) => p.value)
    .join('');

/** Plain marks between the digits; Arabic ones are unmistakable, and spaces part thousands everywhere. */
function asWritten(text: string, { decimal, group }: Convention): string {
  const marked = text.replaceAll('٫', decimal).replaceAll('٬', group);
  return marked.replace(/(?<=\d)[ '](?=\d)/g, group);
}

/**
 * The number that a text is by one convention; null where its marks do not stand as that
 * convention sets them. The library reads, and is held to what it would write itself.
 */
function readBy(text: string, convention: Convention): NumberRead | null {
  const typed = asWritten(text, convention)
    .replace(/^\+/, '')
    .replace(/^-?(?=[^\d-])/, (sign) => `${sign}0`)
    .replace(/^(-?)0+(?=\d)/, '$1');
  const [, after = ''] = typed.split(convention.decimal);
  const decimals = after.length;
  if (decimals > MOST_DECIMALS) return null;
  const value = convention.parser.parse(typed);
  if (!Number.isFinite(value)) return null;
  const whole = decimals === 0 ? typed.replace(convention.decimal, '') : typed;
  const fits = [true, false].some(
    (grouped) =>
      shape(plainFigures(figureOf(convention.format(decimals, grouped), value || 0))) ===
      shape(whole.replace(/^-(?=[0.,]*$)/, '')),
  );
  return fits ? { value: value || 0, decimals } : null;
}

const distinct = (reads: (NumberRead | null)[]): NumberRead[] => [
  ...new Map(reads.flatMap((r) => (r ? [[r.value, r] as const] : []))).values(),
];

/** `7 1/2`, `3/8`: read alike everywhere. Null where it is none. */
function fractionOf(text: string): number | null {
  const [, sign = '', whole = '0', top, bottom] =
    /^(-?)(?:(\d{1,15}) +)?(\d{1,15}) ?\/ ?(\d{1,15})$/.exec(text) ?? [];
  if (top === undefined || Number(bottom) === 0) return null;
  const value = Number(whole) + Number(top) / Number(bottom);
  return sign === '-' ? -value : value;
}

/**
 * What a typed number may mean: by the locale's own convention (also that of its money, where a
 * currency is named), and, apart from it, by those of elsewhere. Digits of any script, `7 1/2`,
 * `7½`; both empty for anything else (`ten`, `1e3`).
 * @example numberReadings('1,234', 'en-GB').own // [{ value: 1234, decimals: 0 }]
 */
export function numberReadings(
  typed: string,
  locale: string,
  currency?: string,
): NumberReadings {
  const text = plainFigures(typed);
  const fraction = fractionOf(text);
  if (fraction !== null) return { own: [{ value: fraction, decimals: 0 }], elsewhere: [] };
  if (!/^[-+]?[\d.,' ٫٬]*$/.test(text) || !/\d/.test(text))
    return { own: [], elsewhere: [] };
  const by = (l: string, c?: string) => readBy(text, conventionOf(l, c));
  const own = distinct([by(locale), ...(currency ? [by(locale, currency)] : [])]);
  const elsewhere = distinct(CONVENTIONS.map((l) => by(l))).filter(
    (r) => !own.some((o) => o.value === r.value),
  );
  return { own, elsewhere };
}
