'use server';
import { ASPECTS, ASPECT_NAMES } from '@/core/prepare';
import type { Aspect } from '@/core/prepare';
import { addPrintOpinion, addRecipe, getPrintEntry } from '@/data';
import { act, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { defineForm, optional, text, whole } from '@/core/input';

const aspect = (name: Aspect) =>
  optional(whole(name, { min: ASPECTS[name][0], max: ASPECTS[name][1] }));

const opinion = defineForm({
  entryId: whole('Entry', { min: 1 }),
  sharpness: aspect('sharpness'),
  grain: aspect('grain'),
  halos: aspect('halos'),
  tone: aspect('tone'),
  colour: aspect('colour'),
  remarks: text('Remarks', { min: 0, max: 1000 }),
});

/** Keeps what was thought of a print; earlier words stay. */
export async function judgePrint(typed: unknown): Promise<ActionResult<null>> {
  return act(opinion, typed, {}, async (v, { studio, write, at }) => {
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

const keep = defineForm({
  entryId: whole('Entry', { min: 1 }),
  name: text('Name', { max: 60 }),
});

/** Keeps the recipe of an entry under a name, so that Prepare has it. */
export async function keepEntryRecipe(typed: unknown): Promise<ActionResult<number>> {
  return act(keep, typed, {}, async ({ entryId, name }, { studio, write, at }) => {
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
