import { adjust, denoise, resample, sharpen } from '../image';
import type { RowStep, Shape, Sharpening } from '../image';
import type { PrintPlan } from './printPlan';
import type { Recipe, RecipeStep } from './recipe';

/** One thing that a step does to the rows of a picture. */
export interface RecipeRows {
  rows: RowStep;
  /** What it is made of: the same for the same work on the same picture. */
  key: string;
}

const done = (rows: RowStep, ...of: unknown[]): RecipeRows => ({
  rows,
  key: JSON.stringify(of),
});

function rowsOf(
  step: RecipeStep,
  shape: Shape,
  { image, source }: Pick<PrintPlan, 'image' | 'source'>,
): RecipeRows[] {
  if (!step.on) return [];
  const sharpened = ({ amount, radius, threshold }: Sharpening) =>
    amount > 0
      ? [
          done(
            sharpen(shape, { amount, radius, threshold }),
            'sharpen',
            amount,
            radius,
            threshold,
          ),
        ]
      : [];
  switch (step.kind) {
    case 'capture': {
      const { noise, grain } = step;
      const cleaned =
        noise > 0 && grain > 0
          ? [done(denoise(shape, { noise, grain }), 'denoise', noise, grain)]
          : [];
      return [...cleaned, ...sharpened(step)];
    }
    case 'adjust': {
      const { lightness, contrast, warmth, saturation } = step;
      const of = [lightness, contrast, warmth, saturation];
      return of.some((v) => v !== 0) ? [done(adjust(shape, step), 'adjust', ...of)] : [];
    }
    case 'resample': {
      const { width, height } = image;
      const { kernel } = step;
      const rows = resample(shape, { kernel, part: source, width, height });
      return [done(rows, 'resample', kernel)];
    }
    case 'output':
      return sharpened(step);
  }
}

/**
 * What a recipe does to the rows of a picture (`shape`: as it is) up to the picture as it is
 * printed (`plan.image`), still in the picture's own colours.
 */
export function recipeRows(
  recipe: Pick<Recipe, 'steps'>,
  shape: Shape,
  plan: Pick<PrintPlan, 'image' | 'source'>,
): RecipeRows[] {
  const made: RecipeRows[] = [];
  let now = shape;
  for (const step of recipe.steps)
    for (const next of rowsOf(step, now, plan)) {
      made.push(next);
      now = next.rows.out;
    }
  return made;
}
