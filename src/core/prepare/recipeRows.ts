import { adjust, denoise, resample, sharpen } from '../image';
import type { RowStep, Shape } from '../image';
import type { PrintPlan } from './printPlan';
import type { Recipe, RecipeStep } from './recipe';

function rowsOf(
  step: RecipeStep,
  shape: Shape,
  { image, source }: Pick<PrintPlan, 'image' | 'source'>,
): RowStep[] {
  if (!step.on) return [];
  switch (step.kind) {
    case 'capture': {
      const cleaned = step.noise > 0 && step.grain > 0 ? [denoise(shape, step)] : [];
      return step.amount > 0 ? [...cleaned, sharpen(shape, step)] : cleaned;
    }
    case 'adjust':
      return [adjust(shape, step)];
    case 'resample': {
      const { width, height } = image;
      return [resample(shape, { kernel: step.kernel, part: source, width, height })];
    }
    case 'output':
      return step.amount > 0 ? [sharpen(shape, step)] : [];
  }
}

/**
 * What a recipe does to the rows of a picture (`shape`: as it is) up to the picture as it is
 * printed (`plan.image`), still in the picture's own colours. `steps`: with the place of the
 * recipe's step that each belongs to.
 */
export function recipeRows(
  recipe: Pick<Recipe, 'steps'>,
  shape: Shape,
  plan: Pick<PrintPlan, 'image' | 'source'>,
): { step: number; rows: RowStep }[] {
  const made: { step: number; rows: RowStep }[] = [];
  let now = shape;
  recipe.steps.forEach((step, i) => {
    for (const rows of rowsOf(step, now, plan)) {
      made.push({ step: i, rows });
      now = rows.out;
    }
  });
  return made;
}
