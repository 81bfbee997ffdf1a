'use server';
import { addWork, added, editRow, getWork, removeRow } from '@/data';
import { act, refuse, staleForm } from '@/studio';
import type { Answer } from '@/core/input';
import { editWorkForm, removeWorkForm, workForm, workWritten } from './workForm';

/** Takes a new work into the drawer; answers with its number. */
export async function createWork(typed: unknown): Promise<Answer<number>> {
  return act(workForm, typed, {}, async (work, { settings, write, at, undoable }) => {
    const { currency } = settings;
    return write(async (tx) => {
      const { id } = await addWork(tx, { ...work, currency, createdAt: at });
      await undoable(tx, `taking in “${work.title}”`, added('work', id));
      return id;
    });
  });
}

const WORDS: Record<string, string> = {
  gone: 'This work was taken out of the drawer meanwhile. What you typed is still here.',
  inUse:
    'This work has a history: a master, sizes, prints or orders belong to it. Only a work that nothing depends on can be taken out.',
};

/** Changes what is noted of a work; refused, with both values, when it was changed meanwhile. */
export async function editWork(typed: unknown): Promise<Answer<number>> {
  return act(
    editWorkForm,
    typed,
    WORDS,
    async (value, { settings, write, at, undoable }) => {
      const { workId, seen, price, ...fields } = value;
      return write(async (tx) => {
        const stored = await getWork(tx, workId);
        if (!stored) return refuse(WORDS.gone!);
        // Left empty, the price stays what it is, in the currency that it was kept in.
        const priced = price === null ? stored : { price, currency: settings.currency };
        const work = { ...fields, price: priced.price, currency: priced.currency };
        const own = workWritten({ ...stored, ...work }, settings);
        const stale = staleForm(seen, workWritten(stored, settings), own, workForm.titles);
        if (stale) return stale;
        const step = await editRow(tx, 'work', workId, work, { at, name: work.title });
        await undoable(tx, `changing “${work.title}”`, step);
        return workId;
      });
    },
  );
}

/** Takes a work that nothing depends on out of the drawer. */
export async function removeWork(typed: unknown): Promise<Answer<null>> {
  return act(removeWorkForm, typed, WORDS, async ({ workId }, { write, at, undoable }) => {
    await write(async (tx) => {
      const name = (await getWork(tx, workId))?.title ?? '';
      const step = await removeRow(tx, 'work', workId, { at, name });
      await undoable(tx, `taking out “${name}”`, step);
    });
    return null;
  });
}
