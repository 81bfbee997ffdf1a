import type { Box } from '@/core/image';
import { channelsFor, ruleOf } from '@/core/prepare';
import type { PrintPlan, Recipe, RecipeSteps } from '@/core/prepare';
import type { MasterView } from '@/studio/reads/workPage';
import type { PatchWish } from './usePatch';

/** The recipe with nothing but its resizing; as the picture would be without any of it. */
const untouched = (recipe: Recipe): RecipeSteps => ({
  rule: ruleOf(recipe),
  steps: recipe.steps.filter((s) => s.kind === 'resample'),
});

/** What samples and tables depend on of a recipe. */
const byOf = (recipe: Recipe, convert: Recipe['convert'] | null) =>
  `rule=${ruleOf(recipe)}&intent=${convert?.intent ?? 'relative'}&blackPoint=${convert?.blackPoint === false ? 'no' : 'yes'}`;

/** What is asked of the pixels: the piece as it prints, and what it is held against. */
export function patchWish(
  { facts, id }: Pick<MasterView, 'facts' | 'id'>,
  plan: PrintPlan,
  recipe: Recipe,
  { box, at, share, without }: { box: Box; at: number; share: number; without: boolean },
): PatchWish {
  const channels = facts.colourModel === 'grey' ? 1 : 3;
  const seen = (made: RecipeSteps, convert: Recipe['convert'] | null) => ({
    recipe: made,
    table: `/api/patch-colours/${id}?target=${convert?.target ?? ''}&channels=${channelsFor(made, channels)}&${byOf(recipe, convert)}`,
  });
  const rule = ruleOf(recipe);
  const steps = recipe.steps.map((s, i) =>
    i === at && s.kind !== 'resample' ? { ...s, on: false } : s,
  );
  return {
    samples: `/api/patches/${id}?${byOf(recipe, recipe.convert)}`,
    shape: { width: facts.width, height: facts.height, channels },
    plan: { image: plan.image, source: plan.source },
    patch: box,
    split: share,
    at,
    after: seen({ rule, steps: recipe.steps }, recipe.convert),
    before: without ? seen({ rule, steps }, recipe.convert) : seen(untouched(recipe), null),
  };
}
