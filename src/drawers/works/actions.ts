'use server';
import { WORK_KINDS } from '@/core/work';
import { addWork, editRow, getWork, removeRow } from '@/data';
import { act, refuse, staleForm } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, defineForm, length, money, optional, text, whole } from '@/core/input';
import { WORK_TITLES, workForm } from './workForm';

/** Larger originals than 20 m are a typing mistake. */
const LONGEST = 20_000;

const FIELDS = {
  title: text('Title', { max: 120 }),
  artist: text('Artist', { max: 120 }),
  year: whole('Year', { min: 1000, max: 2200 }),
  kind: choice('Kind', WORK_KINDS),
  medium: text('Medium', { max: 120 }),
  width: length('Width of the original', { above: 0, max: LONGEST }),
  height: length('Height of the original', { above: 0, max: LONGEST }),
  price: money('Price of the original', { min: 0, max: 1e12 }),
};

const newWork = defineForm(FIELDS);

/** Takes a new work into the drawer; answers with its number. */
export async function createWork(typed: unknown): Promise<ActionResult<number>> {
  return act(newWork, typed, {}, async (work, { settings, write, at }) => {
    const { currency } = settings;
    const row = await write((tx) => addWork(tx, { ...work, currency, createdAt: at }));
    return row.id;
  });
}

const WORDS: Record<string, string> = {
  gone: 'This work was taken out of the drawer meanwhile. What you typed is still here.',
  inUse:
    'This work has a history: a master, sizes, prints or orders belong to it. Only a work that nothing depends on can be taken out.',
};

const edited = defineForm({
  ...FIELDS,
  price: optional(FIELDS.price),
  workId: whole('Work', { min: 1 }),
  seen: text('Form', { max: 4000 }),
});

/** Changes what is noted of a work; refused, with both values, when it was changed meanwhile. */
export async function editWork(typed: unknown): Promise<ActionResult<number>> {
  return act(edited, typed, WORDS, async (value, { settings, write, at, undoable }) => {
    const { workId, seen, price, ...fields } = value;
    return write(async (tx) => {
      const stored = await getWork(tx, workId);
      if (!stored) return refuse(WORDS.gone!);
      // Left empty, the price stays what it is, in the currency that it was kept in.
      const priced = price === null ? stored : { price, currency: settings.currency };
      const work = { ...fields, price: priced.price, currency: priced.currency };
      const own = workForm({ ...stored, ...work }, settings.currency);
      const stale = staleForm(seen, workForm(stored, settings.currency), own, WORK_TITLES);
      if (stale) return stale;
      const step = await editRow(tx, 'work', workId, work, { at, name: work.title });
      await undoable(tx, `changing “${work.title}”`, step);
      return workId;
    });
  });
}

const removed = defineForm({ workId: whole('Work', { min: 1 }) });

/** Takes a work that nothing depends on out of the drawer. */
export async function removeWork(typed: unknown): Promise<ActionResult<null>> {
  return act(removed, typed, WORDS, async ({ workId }, { write, at, undoable }) => {
    await write(async (tx) => {
      const name = (await getWork(tx, workId))?.title ?? '';
      const step = await removeRow(tx, 'work', workId, { at, name });
      await undoable(tx, `taking out “${name}”`, step);
    });
    return null;
  });
}
