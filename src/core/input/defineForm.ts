import type { Field, InputContext } from './fields';
import { foreignCharacter, isBlank, keptCharacters } from '../text';
import { Undecided, Unfit } from './undecided';

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- what a field writes is its own
type Fields = Record<string, Field<any>>;
export type ValueOf<F extends Fields> = {
  [K in keyof F]: F[K] extends Field<infer T> ? T : never;
};

/** What was typed, by field name. */
export type Typed = Record<string, string>;

/** What is sent: what was typed, and numbers that the page set itself, as they are stored. */
export type Sent = Record<string, string | number>;

export type ReadResult<T> =
  { ok: true; value: T } | { ok: false; fields: Record<string, string> };

/**
 * One form: its fields with their titles, limits, examples and sentences. The page reads it
 * while one types, the action reads it again, and the way in holds the values against `schema`.
 */
export interface FormDefinition<T> {
  fields: { [K in keyof T & string]: Field<T[K]> };
  /** JSON Schema of the values. */
  schema: object;
  /** Typed text as values with their units; or a sentence for each field that is not right. */
  read(typed: unknown, context: InputContext): ReadResult<T>;
  /** Values as they stand in the fields; what is not given, or null, is empty, or left out where it is not asked for. */
  write(values: Partial<{ [K in keyof T]: T[K] | null }>, context: InputContext): Typed;
  /** The fields' titles by their names. */
  titles: Record<string, string>;
}

/** What was typed, as it is said back: its beginning, and of characters that are not kept, none. */
const quoted = (typed: string) => {
  const kept = keptCharacters(typed);
  return `“${kept.length > 60 ? `${kept.slice(0, 60)}…` : kept}”`;
};

const exampleOf = (field: Field<unknown>, c: InputContext): string =>
  typeof field.example === 'function' ? field.example(c) : field.example;

const unreadable = (field: Field<unknown>, typed: string, c: InputContext) =>
  typed.trim() === ''
    ? `${field.title}: is empty. Give ${exampleOf(field, c)}.`
    : `${field.title}: ${quoted(typed)} cannot be read. Give ${exampleOf(field, c)}.`;

function numberFault(field: Field<unknown>, value: number, c: InputContext): string | null {
  const limits = field.schema;
  const too = (much: string, must: string, limit: number) =>
    `${field.title}: ${field.say(value, c)} is too ${much}. It must be ${must.replace('#', field.say(limit, c))}.`;
  if (limits.minimum !== undefined && value < limits.minimum)
    return too('little', '# or more', limits.minimum);
  if (limits.exclusiveMinimum !== undefined && value <= limits.exclusiveMinimum)
    return too('little', 'more than #', limits.exclusiveMinimum);
  if (limits.maximum !== undefined && value > limits.maximum)
    return too('much', '# or less', limits.maximum);
  const broken = limits.type === 'integer' && !Number.isSafeInteger(value);
  return broken || !Number.isFinite(value)
    ? `${field.title}: ${field.say(value, c)} is not right. Give ${exampleOf(field, c)}.`
    : null;
}

function textFault(field: Field<unknown>, value: string, c: InputContext): string | null {
  const { minLength = 0, maxLength = Infinity, enum: of } = field.schema;
  if (of && !of.includes(value))
    return `${field.title}: ${quoted(value)} is not one of ${exampleOf(field, c)}.`;
  const foreign = field.verbatim ? null : foreignCharacter(value);
  if (foreign !== null)
    return `${field.title}: it holds a character that is not seen (${foreign}), which files and labels stumble over. Type it again instead of pasting it.`;
  // Characters as people count them, which is how JSON Schema counts them, too.
  const length = [...value].length;
  if (length < minLength || (minLength > 0 && isBlank(value)))
    return `${field.title}: is empty. Give ${exampleOf(field, c)}.`;
  return length > maxLength
    ? `${field.title}: is longer than ${maxLength} characters. Shorten it.`
    : null;
}

/** Why a value that was read does not do; null when it does. */
const faultOf = (field: Field<unknown>, value: unknown, c: InputContext): string | null =>
  typeof value === 'number'
    ? numberFault(field, value, c)
    : typeof value === 'string'
      ? textFault(field, value, c)
      : null;

/** One field read: its value (null where an optional one is empty), or what is not right. */
export type FieldRead<T> =
  | { ok: true; value: T }
  /** `readings`: what it may mean, as the bench writes it; one of them is to be picked. */
  | { ok: false; fault: string; readings?: string[] };

/** What is not guessed, but asked: each reading that would do, as the bench writes it. */
function ask(
  field: Field<unknown>,
  typed: string,
  { readings }: Undecided<unknown>,
  c: InputContext,
): FieldRead<never> {
  const own = readings
    .filter((value) => faultOf(field, value, c) === null)
    .map((value) => field.write(value, c));
  if (own.length === 0) return { ok: false, fault: unreadable(field, typed, c) };
  const fault =
    own.length === 1
      ? `${field.title}: ${quoted(typed)} is not how figures are written here (Bench settings). If it is ${own[0]}, write that.`
      : `${field.title}: ${quoted(typed)} can be read in ${own.length} ways, ${own.join(' or ')}. Pick one.`;
  return { ok: false, fault, readings: own };
}

/** One field read by itself. */
export function readField<T>(
  field: Field<T>,
  typed: string,
  context: InputContext,
): FieldRead<T> {
  if (typed.length > field.longest)
    return {
      ok: false,
      fault: `${field.title}: ${typed.length} characters are too many to be read. Give ${exampleOf(field, context)}.`,
    };
  if (field.optional && typed.trim() === '') return { ok: true, value: null as T };
  const value = field.read(typed, context) as T | null | undefined;
  if (value instanceof Undecided) return ask(field, typed, value, context);
  const fault =
    value instanceof Unfit
      ? `${field.title}: ${quoted(typed)} cannot be kept: ${value.because}. Give ${exampleOf(field, context)}.`
      : value === null || value === undefined
        ? unreadable(field, typed, context)
        : faultOf(field, value, context);
  return fault === null ? { ok: true, value: value as T } : { ok: false, fault };
}

/** A value that was not typed but set by the page: a number, in the unit that is stored. */
function readSet<T>(field: Field<T>, value: number, context: InputContext): FieldRead<T> {
  if (!/number|integer/.test(field.schema.type ?? ''))
    return readField(field, String(value), context);
  const fault = faultOf(field, value, context);
  return fault === null ? { ok: true, value: value as T } : { ok: false, fault };
}

const typedText = (given: unknown): string => (typeof given === 'string' ? given : '');

/**
 * Defines a form. The result's type follows from its fields; errors stand by field name.
 * @example defineForm({ width: length('Width', { above: 0 }) }).read({ width: '12in' }, IN_ADDRESSES)
 * // { ok: true, value: { width: 304.8 } }
 */
export function defineForm<F extends Fields>(fields: F): FormDefinition<ValueOf<F>> {
  const names = Object.keys(fields);
  const schemaOf = (field: Field<unknown>) =>
    field.optional ? { anyOf: [field.schema, { type: 'null' }] } : field.schema;
  return {
    fields: fields,
    titles: Object.fromEntries(names.map((n) => [n, fields[n]!.title])),
    write: (values, context) =>
      Object.fromEntries(
        names.flatMap((n) => {
          const value = (values as Record<string, unknown>)[n];
          const none = value === null || value === undefined;
          // What is sent along unseen is not emptied by what stands in the fields.
          if (none && fields[n]!.hidden) return [];
          return [[n, none ? '' : fields[n]!.write(value, context)]];
        }),
      ),
    schema: {
      type: 'object',
      additionalProperties: false,
      required: names,
      properties: Object.fromEntries(names.map((n) => [n, schemaOf(fields[n]!)])),
    },
    read(typed, context) {
      const raw = (typeof typed === 'object' && typed !== null ? typed : {}) as Record<
        string,
        unknown
      >;
      const values: Record<string, unknown> = {};
      const errors: Record<string, string> = {};
      for (const name of names) {
        const field = fields[name]!;
        const given = Object.hasOwn(raw, name) ? raw[name] : undefined;
        const read =
          typeof given === 'number'
            ? readSet(field, given, context)
            : readField(field, typedText(given), context);
        if (read.ok) values[name] = read.value;
        else errors[name] = read.fault;
      }
      return Object.keys(errors).length === 0
        ? { ok: true, value: values as ValueOf<F> }
        : { ok: false, fields: errors };
    },
  };
}
