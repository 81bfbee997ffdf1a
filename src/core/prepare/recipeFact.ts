import { defineVersioned } from '../facts';
import { DEFAULT_NAME, plainRecipe } from './recipe';
import type { Conversion, Recipe, RecipeStep } from './recipe';

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
    steps,
    convert: { target: space, intent, blackPoint } as Conversion,
    file: { ...plain.file, name: DEFAULT_NAME },
  };
}

/** A recipe as it is stored. */
export const RECIPE = defineVersioned<Recipe>({
  name: 'recipe',
  // Version 0: as it is now; before that without steps.
  upgrades: [
    (old) => ('steps' in old ? old : { ...steppedOf(old as unknown as FlatRecipe) }),
  ],
  holds: (v) =>
    Array.isArray(v.steps) &&
    v.steps.some((s: unknown) => (s as RecipeStep).kind === 'resample') &&
    typeof v.convert === 'object' &&
    typeof v.file === 'object',
});
