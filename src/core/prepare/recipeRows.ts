import type { Shape } from '../image';
import type { PrintPlan } from './printPlan';
import type { Recipe } from './recipe';
import { STEPS } from './steps';
import type { RecipeRows, RecipeStep, StepDefinition } from './steps';

export type { RecipeRows } from './steps';

/** The definition of a step, which knows how to carry it out. */
const definitionOf = (step: RecipeStep) =>
  STEPS[step.kind] as unknown as StepDefinition<RecipeStep>;

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
  for (const step of recipe.steps) {
    if (!step.on) continue;
    for (const next of definitionOf(step).rows(step, now, plan)) {
      made.push(next);
      now = next.rows.out;
    }
  }
  return made;
}
