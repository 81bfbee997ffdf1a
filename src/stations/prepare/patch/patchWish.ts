import type { Box } from '@/core/image';
import type { PrintPlan, Recipe } from '@/core/prepare';
import type { MasterView } from '@/studio/reads/workPage';
import type { PatchWish } from './usePatch';

/** The recipe with nothing but its resizing; as the picture would be without any of it. */
const untouched = (recipe: Recipe): Pick<Recipe, 'steps'> => ({
  steps: recipe.steps.filter((s) => s.kind === 'resample'),
});

const tableUrl = (id: number, convert: Recipe['convert'] | null) =>
  `/api/patch-colours/${id}?target=${convert?.target ?? ''}&intent=${convert?.intent ?? 'relative'}&blackPoint=${convert?.blackPoint === false ? 'no' : 'yes'}`;

/** What is asked of the pixels: the piece as it prints, and what it is held against. */
export function patchWish(
  { facts, id }: Pick<MasterView, 'facts' | 'id'>,
  plan: PrintPlan,
  recipe: Recipe,
  { box, at, share, without }: { box: Box; at: number; share: number; without: boolean },
): PatchWish {
  const channels = facts.colourModel === 'grey' ? 1 : 3;
  const table = tableUrl(id, recipe.convert);
  const steps = recipe.steps.map((s, i) =>
    i === at && s.kind !== 'resample' ? { ...s, on: false } : s,
  );
  return {
    master: id,
    shape: { width: facts.width, height: facts.height, channels },
    plan: { image: plan.image, source: plan.source },
    patch: box,
    split: share,
    at,
    after: { recipe, table },
    before: without
      ? { recipe: { steps }, table }
      : { recipe: untouched(recipe), table: tableUrl(id, null) },
  };
}
