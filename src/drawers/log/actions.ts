'use server';
import { ASPECT_NAMES } from '@/core/log';
import { addPrintOpinion, addRecipe, getPrintEntry } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { keepForm, opinionForm } from './logForms';

/** Keeps what was thought of a print; earlier words stay. */
export async function judgePrint(typed: unknown): Promise<Answer<null>> {
  return act(opinionForm, typed, {}, async (v, { studio, write, at }) => {
    if (!(await getPrintEntry(studio.db.read, v.entryId)))
      return refuse('This entry is not there. Open the log book anew.');
    if (v.remarks === '' && ASPECT_NAMES.every((a) => v[a] === null))
      return refuse('Nothing was said yet. Judge at least one thing, or write a remark.');
    return write(async (tx) => {
      await addPrintOpinion(tx, { ...v, photograph: null, at });
      return null;
    });
  });
}

/** Keeps the recipe of an entry under a name, so that Prepare has it. */
export async function keepEntryRecipe(typed: unknown): Promise<Answer<number>> {
  return act(keepForm, typed, {}, async ({ entryId, name }, { studio, write, at }) => {
    const entry = await getPrintEntry(studio.db.read, entryId);
    if (!entry?.recipe)
      return refuse(
        'Nothing is known of how this was made, so there is no recipe to keep.',
      );
    const { recipe, what } = entry;
    return write(async (tx) => {
      const row = await addRecipe(tx, {
        name,
        recipe,
        remarks: `as ${what}`,
        fromId: null,
        at,
      });
      return row.id;
    });
  });
}
