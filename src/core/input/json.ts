import type { Field } from './fields';

/** Something with parts of its own, sent as JSON; `schema` is what it must look like. */
export const json = <T>(title: string, schema: Record<string, unknown>): Field<T> => ({
  title,
  schema,
  read(typed) {
    try {
      return JSON.parse(typed) as unknown;
    } catch {
      return null;
    }
  },
  example: 'what this form sends by itself',
  say: String,
  write: (value) => JSON.stringify(value),
});
