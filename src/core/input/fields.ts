import { THIN, formatLength, formatMass, formatMoney } from '../units';
import { formatThickness, minor, mm } from '../units';
import type { Grams, Millimetres, Minor, UnitMode } from '../units';
import { FIRST_DAY, LAST_DAY, isDay } from './isDay';
import { readLength, readThickness } from './readLength';
import { readMass } from './readMass';
import { readMoney } from './readMoney';
import { readNumber, readWhole } from './readNumber';
import { plainFigures } from './plainFigures';
import { Undecided, Unfit } from './undecided';
import { visibleText } from '../text';
import { writeAmount, writeLength, writeMass, writeNumber } from './writeAmount';
import { writePercent, writeThickness } from './writeAmount';

/** How the reader's bench is set, as far as reading needs it. */
export interface InputContext {
  units: UnitMode;
  currency: string;
  locale: string;
  /** Of a studio that goes when it is left: what is meant for another is not kept in it. */
  sample?: boolean;
}

/** How figures were read and written on a page, in one word that goes along with what is typed. */
export const benchWord = ({ units, currency, locale, sample }: InputContext): string =>
  [units, currency, locale, ...(sample ? ['sample'] : [])].join(' ');

/** What such a word says; null where it says nothing. */
export function benchOfWord(word: unknown): InputContext | null {
  const [units, currency, locale, sample] = typeof word === 'string' ? word.split(' ') : [];
  if ((units !== 'metric' && units !== 'inch') || !currency || !locale) return null;
  if (sample !== undefined && sample !== 'sample') return null;
  try {
    return {
      units,
      currency,
      locale: new Intl.Locale(locale).toString(),
      sample: sample !== undefined,
    };
  } catch {
    return null;
  }
}

/** How figures stand in addresses and in what the house writes for itself. */
export const IN_ADDRESSES: InputContext = {
  units: 'metric',
  currency: 'EUR',
  locale: 'en-GB',
};

/** JSON Schema of one value. */
export interface FieldSchema {
  type?: string;
  minimum?: number;
  exclusiveMinimum?: number;
  maximum?: number;
  minLength?: number;
  maxLength?: number;
  enum?: readonly string[];
  format?: string;
  [more: string]: unknown;
}

/** A field of an input: its JSON Schema, how typed text becomes a value, how a value is said. */
export interface Field<T> {
  title: string;
  schema: FieldSchema;
  /** What is said under the field. */
  hint?: string;
  /** It goes along with the form and is not asked for. */
  hidden?: boolean;
  optional?: boolean;
  /** Of several short things: how what was typed falls into them. They are kept with commas between. */
  listed?: (typed: string) => string[];
  /** Its words are not names or notes but a path, a list: taken as they are. */
  verbatim?: boolean;
  /** Most characters that are looked at at all; what is longer is refused unread. */
  longest: number;
  /** The value; what it may be (`Undecided`); why it cannot be (`Unfit`); null where unread. */
  read(text: string, context: InputContext): unknown;
  /** What a good answer looks like, for the error's sentence. */
  example: string | ((context: InputContext) => string);
  say(value: number, context: InputContext): string;
  /** A value as it stands in the field: read back it is the same. */
  write(value: T, context: InputContext): string;
  /** What stands behind the figure: a unit, or `money` for the currency of the context. */
  unit?: string;
  readonly type?: T;
}

const sayNumber = (value: number, { locale }: InputContext) =>
  new Intl.NumberFormat(locale, { maximumFractionDigits: 3 }).format(value);

interface Range {
  min?: number;
  above?: number;
  max?: number;
}

/** Beyond this a whole number is not told from the next one, by the database neither. */
const SAFE = Number.MAX_SAFE_INTEGER;
/** No number that anybody types is longer. */
const LONGEST_NUMBER = 60;

const limits = ({ min, above, max = SAFE }: Range) => ({
  ...(above === undefined ? { minimum: min ?? -SAFE } : { exclusiveMinimum: above }),
  maximum: max,
});

/** Words: trimmed, and of `min` to `max` characters. */
export const text = (title: string, { min = 1, max = 200 } = {}): Field<string> => ({
  title,
  schema: { type: 'string', minLength: min, maxLength: max },
  longest: 4 * max + 100,
  read: visibleText,
  example: 'a few words',
  say: String,
  write: String,
});

/** Words that are taken as they are, but for blanks around them: a path, a list, JSON. */
export const verbatim = (
  title: string,
  range: { min?: number; max?: number },
): Field<string> => ({
  ...text(title, range),
  verbatim: true,
  longest: (range.max ?? 200) + 100,
  read: (typed) => typed.trim(),
});

/** One of some words; where nothing is given, `otherwise`, if there is such a word. */
export const choice = <const T extends string>(
  title: string,
  of: readonly T[],
  otherwise?: NoInfer<T>,
): Field<T> => ({
  title,
  schema: { type: 'string', enum: [...of] },
  longest: 200,
  read: (typed) => typed.trim() || (otherwise ?? ''),
  example: of.join(', '),
  say: String,
  write: String,
});

/** A length: `12in` or `30 cm` in either mode; range in millimetres. */
export const length = (title: string, range: Range): Field<Millimetres> => ({
  title,
  schema: { type: 'number', ...limits(range) },
  longest: LONGEST_NUMBER,
  read: (typed, c) => readLength(typed, c.units, c.locale),
  example: '300 mm, 30 cm or 12in',
  say: (value, c) => formatLength(mm(value), c.units, c.locale),
  write: (value, c) => writeLength(value, c.units, c.locale),
});

/** How thick a sheet is: `0.38 mm`, `15 mil`; range in millimetres. */
export const thickness = (title: string, range: Range): Field<Millimetres> => ({
  ...length(title, range),
  read: (typed, c) => readThickness(typed, c.units, c.locale),
  example: '0.38 mm or 15 mil',
  say: (value, c) => formatThickness(mm(value), c.units, c.locale),
  write: (value, c) => writeThickness(value, c.units, c.locale),
});

/** A mass: `350 g`, `12 oz`, `2 lb 3 oz` in either mode; range in grams. */
export const mass = (title: string, range: Range): Field<Grams> => ({
  title,
  schema: { type: 'number', ...limits(range) },
  longest: LONGEST_NUMBER,
  read: (typed, c) => readMass(typed, c.units, c.locale),
  example: '350 g, 1.2 kg or 12 oz',
  say: (value, c) => formatMass(value, c.units, c.locale),
  write: (value, c) => writeMass(value, c.units, c.locale),
});

/** An amount of the studio's currency; range in minor units. */
export const money = (title: string, range: Range): Field<Minor> => ({
  title,
  schema: { type: 'integer', ...limits(range) },
  longest: LONGEST_NUMBER,
  read: (typed, c) => readMoney(typed, c.currency, c.locale),
  example: (c) => `an amount such as ${writeAmount(minor(8550), c.currency, c.locale)}`,
  say: (value, c) => formatMoney(minor(value), c.currency, c.locale),
  write: (value, c) => writeAmount(value, c.currency, c.locale),
  unit: 'money',
});

/** What was typed without the field's own unit behind it: `300 ppi`, `6.5 %`. */
const withoutUnit = (typed: string, unit: string): string => {
  const text = typed.trim();
  return unit !== '' && text.toLowerCase().endsWith(unit.toLowerCase())
    ? text.slice(0, -unit.length)
    : text;
};

/** A whole number within a range; `unit` is said behind it. */
export const whole = (title: string, range: Range, unit = ''): Field<number> => ({
  title,
  schema: { type: 'integer', ...limits(range) },
  longest: LONGEST_NUMBER,
  read: (typed, c) => readWhole(withoutUnit(typed, unit), c.locale),
  example: 'a whole number',
  say: sayNumber,
  write: (value, c) => writeNumber(value, c.locale),
  unit,
});

/** A number within a range; `unit` is said behind it. */
export const decimal = (
  title: string,
  range: Range,
  unit = '',
  digits = 6,
): Field<number> => ({
  title,
  schema: { type: 'number', ...limits(range) },
  longest: LONGEST_NUMBER,
  read: (typed, c) => readNumber(withoutUnit(typed, unit), c.locale),
  example: 'a number',
  say: (value, c) => sayNumber(value, c) + (unit && `${THIN}${unit}`),
  write: (value, c) => writeNumber(value, c.locale, digits),
  unit,
});

/** A share typed in per cent, kept as 0..1; range in per cent. */
export const percent = (title: string, range: Range, unit = '%'): Field<number> => {
  const share = (n: number | undefined) => (n === undefined ? undefined : n / 100);
  return {
    title,
    schema: {
      type: 'number',
      ...limits({
        min: share(range.min),
        above: share(range.above),
        max: share(range.max),
      }),
    },
    longest: LONGEST_NUMBER,
    read: (typed, c) => {
      const value = readNumber(typed.replace(/[%٪％﹪]/u, ''), c.locale);
      if (value instanceof Undecided)
        return new Undecided(value.readings.map((v) => v / 100));
      return value === null ? null : value / 100;
    },
    example: (c) => `a number of per cent, such as ${writePercent(0.065, c.locale)}`,
    say: (value, c) => `${sayNumber(value * 100, c)}${THIN}%`,
    write: (value, c) => writePercent(value, c.locale),
    unit,
  };
};

/** A calendar day, `YYYY-MM-DD`. */
export const day = (title: string): Field<string> => ({
  title,
  schema: { type: 'string', format: 'date' },
  longest: LONGEST_NUMBER,
  read: (typed) => {
    const day = plainFigures(typed);
    if (!isDay(day)) return null;
    return day < FIRST_DAY || day > LAST_DAY
      ? new Unfit(`days lie between ${FIRST_DAY} and ${LAST_DAY}`)
      : day;
  },
  example: 'a day such as 2026-11-23',
  say: String,
  write: String,
});

/** The same field, with something said under it. */
export const hinted = <T>(field: Field<T>, hint: string): Field<T> => ({ ...field, hint });

/** The number of a row that a form is about: sent along, not asked for. */
export const rowNumber = (title: string): Field<number> => ({
  ...whole(title, { min: 1, max: 1e12 }),
  hidden: true,
});

/** What a form was filled with when it was opened: sent along, not asked for. */
export const formSeen: Field<string> = {
  ...verbatim('Form', { max: 8000 }),
  hidden: true,
};

/** The same field, but it may be left empty: then it is null. */
export const optional = <T>(field: Field<T>): Field<T | null> => ({
  ...field,
  optional: true,
  write: (value, c) => (value === null ? '' : field.write(value, c)),
});
