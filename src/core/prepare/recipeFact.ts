import { defineVersioned } from '../facts';
import { DEFAULT_NAME, STEPS, plainRecipe } from './recipe';
import type { Conversion, FileWish, Recipe, RecipeStep } from './recipe';

/** What a step that is left out does not look at. */
const NOT_ASKED = { ppi: 0, radius: 0 };

interface FlatRecipe {
  ppi: number;
  resample: { kernel: string };
  outputSharpen: { amount: number; radius: number; threshold: number };
  convert: { space: string; intent: string; blackPoint: boolean };
}

/** A recipe of before there were steps: resampled, sharpened once, converted. */
function steppedOf(old: FlatRecipe): Recipe {
  const plain = plainRecipe(old.ppi, old.outputSharpen.radius);
  const steps = plain.steps.map((s): RecipeStep => {
    if (s.kind === 'resample')
      return { ...s, kernel: old.resample.kernel as typeof s.kernel };
    return s.kind === 'output' ? { ...s, ...old.outputSharpen } : s;
  });
  const { space, intent, blackPoint } = old.convert;
  return {
    ...plain,
    rule: 1,
    steps,
    convert: { target: space, intent, blackPoint } as Conversion,
    file: { ...plain.file, dither: false, name: DEFAULT_NAME },
  };
}

/** A recipe as it is stored. */
export const RECIPE = defineVersioned<Recipe>({
  name: 'recipe',
  upgrades: [
    // Version 0: with steps, or of before there were any.
    (old) => ('steps' in old ? old : { ...steppedOf(old as unknown as FlatRecipe) }),
    // Version 1: nothing said by which rule, and 8 bits were rounded.
    (old) => ({
      rule: 1,
      ...old,
      file: { dither: false, ...(old.file as Partial<FileWish>) },
    }),
    // Version 2: without a step that moves colours by tone and hue.
    (old) => {
      const steps = old.steps as RecipeStep[];
      if (steps.some((s) => s.kind === 'balance')) return old;
      const after = steps.findIndex((s) => s.kind === 'adjust') + 1;
      const moving = STEPS.balance.usual(NOT_ASKED);
      return { ...old, steps: [...steps.slice(0, after), moving, ...steps.slice(after)] };
    },
  ],
  holds: (v) =>
    Array.isArray(v.steps) &&
    v.steps.some((s: unknown) => (s as RecipeStep).kind === 'resample') &&
    (v.rule === 1 || v.rule === 2) &&
    typeof v.convert === 'object' &&
    typeof v.file === 'object',
});
