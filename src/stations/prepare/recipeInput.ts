import { COMPRESSIONS, FORMATS, INTENTS, STEPS, recipeFault } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { json } from '@/core/input';
import { faultWords } from './words';

const numbers = (...names: string[]) =>
  Object.fromEntries(names.map((name) => [name, { type: 'number' }]));

const step = (kind: string, properties: Record<string, unknown>) => ({
  type: 'object',
  additionalProperties: false,
  required: ['kind', 'on', ...Object.keys(properties)],
  properties: { kind: { const: kind }, on: { type: 'boolean' }, ...properties },
});

const closed = (properties: Record<string, unknown>) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties),
  properties,
});

/** What a recipe must look like; its numbers are held against their limits in the core. */
const RECIPE_SCHEMA = closed({
  rule: { enum: [1, 2] },
  steps: {
    type: 'array',
    minItems: 1,
    maxItems: 8,
    items: {
      anyOf: Object.values(STEPS).map(({ kind, numbers: of, choices = {}, tables = {} }) =>
        step(kind, {
          ...numbers(...of),
          ...Object.fromEntries(
            Object.entries(tables).map(([name, n]) => [
              name,
              { type: 'array', minItems: n, maxItems: n, items: { type: 'number' } },
            ]),
          ),
          ...Object.fromEntries(
            Object.entries(choices).map(([name, ids]) => [name, { enum: ids }]),
          ),
        }),
      ),
    },
  },
  marks: { type: 'boolean' },
  convert: closed({
    target: { type: 'string', pattern: '^([a-z0-9-]{3,20}|icc:[0-9a-f]{64})$' },
    intent: { enum: INTENTS },
    blackPoint: { type: 'boolean' },
  }),
  file: closed({
    bits: { enum: [8, 16] },
    dither: { type: 'boolean' },
    format: { enum: FORMATS },
    compression: { enum: COMPRESSIONS },
    quality: { type: 'number' },
    name: { type: 'string', maxLength: 200 },
  }),
});

/** A recipe as a form sends it. */
export const RECIPE = json<Recipe>('Recipe', RECIPE_SCHEMA);

/** Why a recipe cannot be worked with, in a sentence; null when it can. */
export function recipeRefusal(recipe: Recipe): string | null {
  const fault = recipeFault(recipe);
  return fault && faultWords(fault, recipe);
}
