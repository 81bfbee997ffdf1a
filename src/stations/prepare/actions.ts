'use server';
import { RGB_SPACES } from '@/core/colour';
import {
  bytesBeyond,
  doubledNames,
  ppiOf,
  printPlan,
  screenPlan,
  screenRecipe,
} from '@/core/prepare';
import type { Recipe, TargetId } from '@/core/prepare';
import { addRecipe, getRecipe } from '@/data';
import type { JobRow } from '@/data';
import {
  act,
  nameOfFile,
  nameTaken,
  noteJob,
  offeredRung,
  profileOf,
  queueJob,
  refuse,
  targetFor,
} from '@/studio';
import type { Answer } from '@/core/input';
import type { ActionTools, PrintFileOrder } from '@/studio';
import { defineForm, json, optional, text, whole } from '@/core/input';
import { keepForm, screenForm } from './prepareForms';
import { RECIPE, recipeRefusal } from './recipeInput';
import { sourceOf } from './sourceOf';

const order = defineForm({
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
});

/** Why a file in these colours cannot be written; null when it can. */
async function colourRefusal(
  recipe: Recipe,
  target: TargetId,
  { studio }: Pick<ActionTools, 'studio'>,
): Promise<string | null> {
  if (profileOf(target) === null && !(target in RGB_SPACES))
    return 'Convert: this colour space is not known. Choose another.';
  try {
    const into = await targetFor(studio, target);
    if (into.channels === 4 && recipe.file.format !== 'tiff')
      return `File: ${recipe.file.format.toUpperCase()} is not taken for CMYK. Choose TIFF.`;
    return null;
  } catch (error) {
    return (error as Error).message;
  }
}

type Target = Awaited<ReturnType<typeof targetFor>>;

/**
 * Notes the jobs of some files, each with the name that it will carry, in one write; then they
 * run. Answers their numbers, or why not.
 */
async function orderFiles(
  { studio, write, at }: ActionTools,
  specs: readonly (readonly [PrintFileOrder, Target])[],
): Promise<number[] | ReturnType<typeof refuse>> {
  const noted = await write(async (tx) => {
    const jobs: JobRow[] = [];
    const here: string[] = [];
    for (const [spec, into] of specs) {
      const { taken, ...named } = await nameOfFile(tx, spec, into, at);
      if (taken)
        return refuse(
          doubledNames([...here, named.name]).length > 0
            ? `File name: two of these files would both be called ${named.name}. Put {space} or {ppi} into the name, then write them again.`
            : nameTaken(named.name),
        );
      here.push(named.name);
      const { workId } = spec;
      const job = { kind: 'printFile', workId, spec: { ...spec, named }, at } as const;
      jobs.push(await noteJob(tx, job));
    }
    return jobs;
  });
  if (!Array.isArray(noted)) return noted;
  for (const row of noted) void queueJob(studio, row);
  return noted.map((row) => row.id);
}

/** Queues the writing of print files for sizes on offer, each in RGB and, if asked, CMYK. */
export async function orderPrintFiles(typed: unknown): Promise<Answer<number[]>> {
  return act(order, typed, {}, async (v, tools) => {
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
    for (const target of targets) {
      const refused = await colourRefusal(v.recipe, target, tools);
      if (refused) return refuse(refused);
    }
    const specs: [PrintFileOrder, Target][] = [];
    for (const sizeKey of new Set(v.sizeKeys)) {
      const rung = await offeredRung(db, v.workId, sizeKey, master, settings);
      if (!rung)
        return refuse(
          'This size is not on offer any more. Offer it at Size, then prepare it.',
        );
      const plan = printPlan(master.facts, rung.fit, ppiOf(v.recipe), v.recipe.marks);
      for (const target of targets) {
        const into = await targetFor(studio, target);
        const bytes = bytesBeyond(plan, into.channels, v.recipe.file.bits);
        if (bytes !== null)
          return refuse(
            `Resize, resolution: the file of ${rung.label} would be ${(bytes / 1e9).toFixed(1)} GB, and TIFF ends at 4 GB. Use fewer ppi, or 8 bits.`,
          );
        const spec: PrintFileOrder = {
          workId: work.id,
          title: work.title,
          sizeKey,
          sizeLabel: rung.label,
          masterId: master.id,
          plan,
          recipe: { ...v.recipe, convert: { ...v.recipe.convert, target } },
          recipeId: v.recipeId,
        };
        specs.push([spec, into]);
      }
    }
    return orderFiles(tools, specs);
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
    const spec: PrintFileOrder = {
      workId: work.id,
      title: work.title,
      sizeKey: v.sizeKey,
      sizeLabel: rung.label,
      masterId: master.id,
      plan,
      recipe,
      kind: 'screen',
      watermark: v.watermark,
    };
    const ordered = await orderFiles(tools, [
      [spec, await targetFor(studio, recipe.convert.target)],
    ]);
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
