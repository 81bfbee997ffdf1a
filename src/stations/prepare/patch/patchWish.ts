import type { PrintPlan, Recipe } from '@/core/prepare';
import type { MasterView } from '@/studio/reads/workPage';
import type { PatchWish } from './usePatch';

/** Most pixels of the picture under a patch: what is read and sent stays under 50 MB. */
const MOST_SOURCE = 7e6;

/** Room on the table in whole pixels of the screen, and how many of them make a CSS pixel. */
export interface Room {
  width: number;
  height: number;
  dense: number;
}

export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The piece of the print, in its pixels, that has room and whose source can be read; `centre` 0..1. */
export function boxOf(
  room: Room,
  { image, factor }: Pick<PrintPlan, 'image' | 'factor'>,
  zoom: 1 | 2,
  centre: { x: number; y: number },
): Box {
  const fit = Math.min(
    1,
    Math.sqrt(MOST_SOURCE / ((room.width * room.height) / factor ** 2)),
  );
  const side = (length: number, whole: number) =>
    Math.max(1, Math.min(whole, Math.floor((length / zoom) * fit)));
  const width = side(room.width, image.width);
  const height = side(room.height, image.height);
  const from = (c: number, whole: number, length: number) =>
    Math.round(Math.min(whole - length, Math.max(0, c * whole - length / 2)));
  const left = from(centre.x, image.width, width);
  const top = from(centre.y, image.height, height);
  return { left, top, right: left + width, bottom: top + height };
}

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
