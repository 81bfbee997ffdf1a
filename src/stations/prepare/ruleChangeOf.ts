import { readSettings } from '@/data';
import type { PrintDifference } from '@/engine';
import { defineForm, text, whole } from '@/core/input';
import type { Answer } from '@/core/input';
import { offeredRung, readAtTheDoor, refuse, ruleChange, studio } from '@/studio';
import { RECIPE, recipeRefusal } from './recipeInput';
import { sourceOf } from './sourceOf';

const asking = defineForm({
  workId: whole('Work', { min: 1 }),
  size: text('Size', { max: 60 }),
  recipe: RECIPE,
});

/** How far a size printed by a recipe of an earlier rule is from the same by the rule of now. */
export async function ruleChangeOf(
  typed: unknown,
  signal: AbortSignal,
): Promise<Answer<PrintDifference>> {
  const open = await studio();
  const settings = await readSettings(open.db.read);
  const read = readAtTheDoor(asking, typed, settings);
  if (!read.ok) return refuse(Object.values(read.fields)[0] ?? 'Nothing was given.');
  const { workId, size, recipe } = read.value;
  const wrong = recipeRefusal(recipe);
  if (wrong) return refuse(wrong);
  const source = await sourceOf(workId, { studio: open });
  if ('ok' in source) return source;
  const { master } = source;
  const rung = await offeredRung(open.db.read, workId, size, master, settings);
  if (!rung) return refuse('This size is not on offer any more.');
  try {
    return { ok: true, value: await ruleChange(open, { master, rung, recipe }, signal) };
  } catch (error) {
    return refuse((error as Error).message);
  }
}
