'use server';
import { act, refuse, startJob } from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm, json, optional, whole } from '@/core/input';
import { proofOrder } from './proofOrder';
import type { ProofDesk } from './proofWish';
import { RECIPE, recipeRefusal } from './recipeInput';
import { sourceOf } from './sourceOf';
import { PIECE_WORDS } from './sheetWords';

const number = (minimum: number, maximum: number) => ({ type: 'number', minimum, maximum });

const DESK = json<ProofDesk>('Proof sheet', {
  type: 'object',
  additionalProperties: false,
  required: ['sizes', 'places', 'sheet', 'own', 'width', 'height', 'margin', 'overview'],
  properties: {
    sizes: { type: 'array', maxItems: 12, items: { type: 'string', maxLength: 60 } },
    places: {
      type: 'array',
      maxItems: 24,
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['x', 'y', 'tests'],
        properties: {
          x: number(0, 1),
          y: number(0, 1),
          tests: { enum: Object.keys(PIECE_WORDS) },
        },
      },
    },
    sheet: { type: 'string', maxLength: 120 },
    own: {
      type: 'object',
      additionalProperties: false,
      required: ['width', 'height'],
      properties: { width: number(60, 1500), height: number(60, 1500) },
    },
    width: number(15, 400),
    height: number(15, 400),
    margin: number(0, 40),
    overview: { type: 'boolean' },
    strip: { type: 'boolean' },
  },
});

const order = defineForm({
  workId: whole('Work', { min: 1 }),
  recipe: RECIPE,
  recipeId: optional(whole('Recipe', { min: 1 })),
  desk: DESK,
});

/** Queues a resolution proof: pieces of the chosen sizes on one sheet. */
export async function orderProofSheet(typed: unknown): Promise<Answer<number>> {
  return act(order, typed, {}, async (v, tools) => {
    const { studio, settings, at } = tools;
    const source = await sourceOf(v.workId, tools);
    if ('ok' in source) return source;
    const { work, master } = source;
    const wrong = recipeRefusal(v.recipe);
    if (wrong) return refuse(wrong);
    const { recipe, recipeId, desk } = v;
    const asked = { work, master, recipe, recipeId, desk, settings, at };
    const spec = await proofOrder(studio, asked);
    if (typeof spec === 'string') return refuse(spec);
    return (await startJob(studio, { kind: 'sheet', workId: work.id, spec, at })).id;
  });
}
