import { KERNEL_IDS } from '@/core/image';
import {
  COMPRESSIONS,
  FORMATS,
  INTENTS,
  namePatternProblem,
  outOfLimits,
} from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { json } from '@/core/input';
import { limitWords, nameProblemWords } from './words';

const numbers = (...names: string[]) =>
  Object.fromEntries(names.map((name) => [name, { type: 'number' }]));

const step = (kind: string, properties: Record<string, unknown>) => ({
  type: 'object',
  additionalProperties: false,
  required: ['kind', 'on', ...Object.keys(properties)],
  properties: { kind: { const: kind }, on: { type: 'boolean' }, ...properties },
});

const SHARPENING = numbers('amount', 'radius', 'threshold');

const closed = (properties: Record<string, unknown>) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties),
  properties,
});

/** What a recipe must look like; its numbers are held against their limits in the core. */
const RECIPE_SCHEMA = closed({
  steps: {
    type: 'array',
    minItems: 1,
    maxItems: 8,
    items: {
      anyOf: [
        step('capture', { ...SHARPENING, ...numbers('noise', 'grain') }),
        step('adjust', numbers('lightness', 'contrast', 'warmth', 'saturation')),
        step('resample', { kernel: { enum: KERNEL_IDS }, ...numbers('ppi') }),
        step('output', SHARPENING),
      ],
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
  const [outside] = outOfLimits(recipe);
  if (outside) return limitWords(outside, recipe);
  const sizes = recipe.steps.filter((s) => s.kind === 'resample').length;
  if (sizes !== 1)
    return 'Recipe: it needs one step that resizes, and only one. Take the usual recipe and change it.';
  const name = namePatternProblem(recipe.file.name);
  return name ? nameProblemWords(name) : null;
}
