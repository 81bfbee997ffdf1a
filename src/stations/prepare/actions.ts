'use server';
import { bytesBeyond, recipePlan, screenPlan, screenRecipe } from '@/core/prepare';
import type { TargetId } from '@/core/prepare';
import { addRecipe, getRecipe, tell } from '@/data';
import { act, offeredRung, orderFiles, referenceOf, refuse, targetFor } from '@/studio';
import type { Answer } from '@/core/input';
import type { FileToWrite } from '@/studio';
import { defineForm, json, optional, text, whole } from '@/core/input';
import { keepForm, screenForm } from './prepareForms';
import { RECIPE, recipeRefusal } from './recipeInput';
import { sourceOf } from './sourceOf';

const filesForm = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKeys: json<string[]>('Sizes', {
    type: 'array',
    minItems: 1,
    maxItems: 100,
    items: { type: 'string', maxLength: 60 },
  }),
  recipe: RECIPE,
  recipeId: optional(whole('Recipe', { min: 1 })),
  pair: text('CMYK profile', { min: 0, max: 80 }),
  overruled: optional(text('Written all the same, because', { max: 300 })),
});

/** Queues the writing of print files for sizes on offer, each in RGB and, if asked, CMYK. */
export async function orderPrintFiles(typed: unknown): Promise<Answer<number[]>> {
  return act(filesForm, typed, {}, async (v, tools) => {
    const { studio, settings } = tools;
    const db = studio.db.read;
    const source = await sourceOf(v.workId, tools);
    if ('ok' in source) return source;
    const { work, master } = source;
    const wrong = recipeRefusal(v.recipe);
    if (wrong) return refuse(wrong);
    const targets = [
      v.recipe.convert.target,
      ...(v.pair === '' ? [] : [v.pair as TargetId]),
    ];
    const { bits, format } = v.recipe.file;
    const intos = [];
    for (const target of targets)
      try {
        const into = await targetFor(studio, target);
        if (into.channels === 4 && format !== 'tiff')
          return refuse(
            `File: ${format.toUpperCase()} is not taken for CMYK. Choose TIFF.`,
          );
        intos.push({ target, into });
      } catch (error) {
        return refuse((error as Error).message);
      }
    const files: FileToWrite[] = [];
    for (const sizeKey of new Set(v.sizeKeys)) {
      const rung = await offeredRung(db, v.workId, sizeKey, master, settings);
      if (!rung)
        return refuse(
          'This size is not on offer any more. Offer it at Size, then prepare it.',
        );
      const plan = recipePlan(master.facts, rung.fit, v.recipe);
      for (const { target, into } of intos) {
        const bytes = bytesBeyond(plan, into.channels, bits);
        if (bytes !== null)
          return refuse(
            `Resize, resolution: the file of ${rung.label} would be ${(bytes / 1e9).toFixed(1)} GB, and TIFF ends at 4 GB. Use fewer ppi, or 8 bits.`,
          );
        const order = {
          workId: work.id,
          title: work.title,
          sizeKey,
          sizeLabel: rung.label,
          masterId: master.id,
          plan,
          recipe: { ...v.recipe, convert: { ...v.recipe.convert, target } },
          recipeId: v.recipeId,
        };
        files.push({ order, into });
      }
    }
    if (v.overruled) {
      const reason = v.overruled;
      const against = new Map<string, string>();
      for (const { order } of files) {
        const { sizeKey, recipe } = order;
        const { standing, why } = await referenceOf(db, work.id, { sizeKey, recipe });
        if (standing && why !== '') against.set(sizeKey, why);
      }
      const detail = { did: 'A print file was ordered', reason };
      const what = 'reference.overruled';
      const lines = [...against].map(([sizeKey, why]) => ({
        at: tools.at,
        what,
        workId: work.id,
        sizeKey,
        detail: { ...detail, why },
      }));
      await tools.write((tx) => tell(tx, lines));
    }
    return orderFiles(tools, files);
  });
}

/** Queues a copy for screens: the seen part of the picture, sRGB, JPEG, lightly sharpened. */
export async function orderScreenCopy(typed: unknown): Promise<Answer<number>> {
  return act(screenForm, typed, {}, async (v, tools) => {
    const { studio, settings } = tools;
    const source = await sourceOf(v.workId, tools);
    if ('ok' in source) return source;
    const { work, master } = source;
    const wrong = recipeRefusal(v.recipe);
    if (wrong) return refuse(wrong);
    const rung = await offeredRung(studio.db.read, v.workId, v.sizeKey, master, settings);
    if (!rung)
      return refuse('This size is not on offer any more. Offer it at Size, then copy it.');
    const plan = screenPlan(master.facts, rung.fit.crop, v.longest);
    const recipe = screenRecipe(v.recipe, v.quality);
    const order = {
      workId: work.id,
      title: work.title,
      sizeKey: v.sizeKey,
      sizeLabel: rung.label,
      masterId: master.id,
      plan,
      recipe,
      kind: 'screen' as const,
      watermark: v.watermark,
    };
    const into = await targetFor(studio, recipe.convert.target);
    const ordered = await orderFiles(tools, [{ order, into }]);
    return Array.isArray(ordered) ? ordered[0]! : ordered;
  });
}

/** Keeps a recipe under a name: its next version, or a copy under another name. */
export async function keepRecipe(typed: unknown): Promise<Answer<number>> {
  return act(
    keepForm,
    typed,
    {},
    async ({ name, remarks, recipe, fromId }, { studio, write, at }) => {
      const wrong = recipeRefusal(recipe);
      if (wrong) return refuse(wrong);
      const from = fromId ? await getRecipe(studio.db.read, fromId) : undefined;
      return write(async (tx) => {
        const row = await addRecipe(tx, {
          name,
          remarks,
          recipe,
          fromId: from?.id ?? null,
          at,
        });
        return row.id;
      });
    },
  );
}
