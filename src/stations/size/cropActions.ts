'use server';
import { LEAST_ZOOM } from '@/core/size';
import { addCropChoice, addKeptArea, currentMaster, cropChoicesNow } from '@/data';
import type { Reading, Writing } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import type { ActionTools } from '@/studio';
import { decimal, defineForm, text, whole } from '@/core/input';

const workId = whole('Work', { min: 1 });
const RATIO = /^1:√2$|^\d{1,2}:\d{1,2}$|^1:\d+\.\d{3}$/;
const ratio = text('Ratio', { max: 12 });

const crop = defineForm({
  workId,
  ratio,
  x: decimal('Middle across', { min: 0, max: 1 }),
  y: decimal('Middle down', { min: 0, max: 1 }),
  zoom: decimal('Size of the crop', { min: LEAST_ZOOM, max: 1 }),
});

const NO_MASTER =
  'There is no master to crop any more. Bring the file, then choose the crop again.';

/** What is chosen now for a ratio, as the step that brings it back. */
async function stands(db: Reading | Writing, work: number, name: string, picture: number) {
  const row = (await cropChoicesNow(db, [work])).find((r) => r.ratio === name);
  return {
    kind: 'crop' as const,
    workId: work,
    ratio: name,
    choice: row?.choice ?? null,
    picture: row?.picture ?? picture,
  };
}

/** Proportion of the picture of now; null without a master. */
async function pictureOf({ studio }: ActionTools, work: number): Promise<number | null> {
  const master = await currentMaster(studio.db.read, work);
  return master ? master.facts.width / master.facts.height : null;
}

/** Keeps a crop for all sizes of a ratio. */
export async function keepCrop(typed: unknown): Promise<Answer<null>> {
  return act(crop, typed, {}, async (v, tools) => {
    if (!RATIO.test(v.ratio))
      return refuse(`Ratio: “${v.ratio}” is none. Give one such as 4:5.`);
    const picture = await pictureOf(tools, v.workId);
    if (picture === null) return refuse(NO_MASTER);
    const choice = { x: v.x, y: v.y, zoom: v.zoom };
    return tools.write(async (tx) => {
      const before = await stands(tx, v.workId, v.ratio, picture);
      const kept = { workId: v.workId, ratio: v.ratio, choice, picture, at: tools.at };
      await addCropChoice(tx, kept);
      await tools.undoable(tx, `the crop to ${v.ratio}`, before);
      return null;
    });
  });
}

const drop = defineForm({ workId, ratio });

/** Gives the crop of a ratio up: the middle, as large as it can be, again. */
export async function dropCrop(typed: unknown): Promise<Answer<null>> {
  return act(drop, typed, {}, async (v, tools) =>
    tools.write(async (tx) => {
      const before = await stands(tx, v.workId, v.ratio, 1);
      if (!before.choice)
        return refuse(`No crop is kept for ${v.ratio}, so there is none to give up.`);
      const { picture } = before;
      await addCropChoice(tx, { ...v, choice: null, picture, at: tools.at });
      await tools.undoable(tx, `giving up the crop to ${v.ratio}`, before);
      return null;
    }),
  );
}

const share = (title: string, min = 0) => decimal(title, { min, max: 1 });
const area = defineForm({
  workId,
  left: share('From the left'),
  top: share('From the top'),
  width: share('Width', 0.005),
  height: share('Height', 0.005),
});

/** Marks the part of the picture that no crop may lose. */
export async function keepArea(typed: unknown): Promise<Answer<null>> {
  return act(area, typed, {}, async ({ workId: work, ...kept }, { write, at }) => {
    if (kept.left + kept.width > 1.0001 || kept.top + kept.height > 1.0001)
      return refuse('What must stay reaches beyond the picture. Draw it within its edges.');
    await write((tx) => addKeptArea(tx, { workId: work, area: kept, at }));
    return null;
  });
}

const free = defineForm({ workId });

/** Nothing is marked any more. */
export async function freeArea(typed: unknown): Promise<Answer<null>> {
  return act(free, typed, {}, async ({ workId: work }, { write, at }) => {
    await write((tx) => addKeptArea(tx, { workId: work, area: null, at }));
    return null;
  });
}
