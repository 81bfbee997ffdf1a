import Ajv from 'ajv';
import type { ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import type { FormDefinition, InputContext, ReadResult } from '@/core/input';

const ajv = addFormats(new Ajv({ allErrors: true, strict: true }));
const compiled = new WeakMap<object, ValidateFunction>();

function validatorOf(schema: object): ValidateFunction {
  const before = compiled.get(schema);
  if (before) return before;
  const made = ajv.compile(schema);
  compiled.set(schema, made);
  return made;
}

/** What is wrong with something that a schema describes, each a few words; none: nothing. */
export function schemaFaults(schema: object, value: unknown): string[] {
  const validate = validatorOf(schema);
  if (validate(value)) return [];
  return (validate.errors ?? [])
    .filter((e) => e.keyword !== 'if')
    .map(({ instancePath, message, params }) => {
      const { additionalProperty, allowedValues } = params as {
        additionalProperty?: string;
        allowedValues?: string[];
      };
      const where = instancePath.slice(1).replaceAll('/', '.') || 'the job';
      const which = additionalProperty ? `: “${additionalProperty}”` : '';
      const of = allowedValues ? `: ${allowedValues.join(', ')}` : '';
      return `${where} ${message ?? 'is not as it should be'}${which}${of}`;
    });
}

/**
 * Reads what was sent for a form, and holds the values against its schema: what a page would
 * never send (parts of a form that nobody types) is refused here, before any rule sees it.
 */
export function readAtTheDoor<T>(
  form: FormDefinition<T>,
  typed: unknown,
  context: InputContext,
): ReadResult<T> {
  const read = form.read(typed, context);
  if (!read.ok) return read;
  const validate = validatorOf(form.schema);
  if (validate(read.value)) return read;
  const fields: Record<string, string> = {};
  for (const { instancePath } of validate.errors ?? []) {
    const name = instancePath.slice(1).split('/')[0] as keyof T & string;
    const { title } = form.fields[name] ?? { title: 'This form' };
    fields[name] ??=
      `${title}: it does not look as it should. Reload the page, then try again.`;
  }
  return { ok: false, fields };
}
