import { defineVersioned } from '../facts';
import { DEFAULT_NAME, plainRecipe } from './recipe';
import type { Conversion, FileWish, Recipe, RecipeStep } from './recipe';

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
  ],
  holds: (v) =>
    Array.isArray(v.steps) &&
    v.steps.some((s: unknown) => (s as RecipeStep).kind === 'resample') &&
    (v.rule === 1 || v.rule === 2) &&
    typeof v.convert === 'object' &&
    typeof v.file === 'object',
});
