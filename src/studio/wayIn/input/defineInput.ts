import Ajv from 'ajv';
import type { ErrorObject } from 'ajv';
import addFormats from 'ajv-formats';
import type { Field, InputContext } from './fields';

type Fields = Record<string, Field<unknown>>;
export type ValueOf<F extends Fields> = {
  [K in keyof F]: F[K] extends Field<infer T> ? T : never;
};

/** What was typed, by field name. */
export type Typed = Record<string, string>;

export type ReadResult<T> =
  { ok: true; value: T } | { ok: false; fields: Record<string, string> };

export interface Input<T> {
  schema: object;
  read(typed: unknown, context: InputContext): ReadResult<T>;
}

const ajv = addFormats(new Ajv({ allErrors: true, strict: true }));

const unreadable = (field: Field<unknown>, typed: string) =>
  typed.trim() === ''
    ? `${field.title}: is empty. Give ${field.example}.`
    : `${field.title}: “${typed}” cannot be read. Give ${field.example}.`;

/** One complaint of the validator as a sentence about the field. */
function sentence(
  field: Field<unknown>,
  error: ErrorObject,
  value: unknown,
  c: InputContext,
) {
  const shown = typeof value === 'number' ? field.say(value, c) : `“${String(value)}”`;
  const limit = (error.params as { limit?: number }).limit ?? 0;
  switch (error.keyword) {
    case 'minimum':
      return `${field.title}: ${shown} is too little. It must be ${field.say(limit, c)} or more.`;
    case 'exclusiveMinimum':
      return `${field.title}: ${shown} is too little. It must be more than ${field.say(limit, c)}.`;
    case 'maximum':
      return `${field.title}: ${shown} is too much. It must be ${field.say(limit, c)} or less.`;
    case 'minLength':
      return `${field.title}: is empty. Give ${field.example}.`;
    case 'maxLength':
      return `${field.title}: is longer than ${limit} characters. Shorten it.`;
    case 'enum':
      return `${field.title}: ${shown} is not one of ${field.example}.`;
    default:
      return `${field.title}: ${shown} is not right. Give ${field.example}.`;
  }
}

/**
 * One schema per input. What was typed (all text) is turned into values with their units,
 * then validated; the result's type follows from the fields. Errors stand by field name.
 */
export function defineInput<F extends Fields>(fields: F): Input<ValueOf<F>> {
  const names = Object.keys(fields);
  const schema = {
    type: 'object',
    additionalProperties: false,
    required: names,
    properties: Object.fromEntries(
      names.map((name) => {
        const field = fields[name]!;
        return [
          name,
          field.optional ? { anyOf: [field.schema, { type: 'null' }] } : field.schema,
        ];
      }),
    ),
  };
  const validate = ajv.compile(schema);
  return {
    schema,
    read(typed, context) {
      const raw = (typeof typed === 'object' && typed !== null ? typed : {}) as Record<
        string,
        unknown
      >;
      const values: Record<string, unknown> = {};
      const errors: Record<string, string> = {};
      for (const name of names) {
        const field = fields[name]!;
        const given = raw[name];
        const said =
          typeof given === 'string'
            ? given
            : typeof given === 'number'
              ? String(given)
              : '';
        if (field.optional && said.trim() === '') {
          values[name] = null;
          continue;
        }
        const value = field.read(said, context);
        if (value === null || value === undefined) errors[name] = unreadable(field, said);
        values[name] = value;
      }
      if (!validate(values))
        for (const error of validate.errors ?? []) {
          const [name = '', ...inside] = error.instancePath.slice(1).split('/');
          const field = fields[name];
          // Something within what was sent as a whole: nobody typed it.
          if (field && (inside.length > 0 || typeof values[name] === 'object'))
            errors[name] ??=
              `${field.title}: it does not look as it should. Reload the page, then try again.`;
          else if (field && error.keyword !== 'anyOf')
            errors[name] ??= sentence(field, error, values[name], context);
        }
      return Object.keys(errors).length === 0
        ? { ok: true, value: values as ValueOf<F> }
        : { ok: false, fields: errors };
    },
  };
}
