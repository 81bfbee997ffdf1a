'use server';
import { planFinish } from '@/core/finish';
import { addFinish, currentMaster } from '@/data';
import { act, offeredRung, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { NO_OPENING, finishValues, keepFinishForm } from './finishForm';

/** Keeps the mat and frame of a size. */
export async function keepFinish(typed: unknown): Promise<Answer<null>> {
  return act(keepFinishForm, typed, {}, async (v, { studio, settings, write, at }) => {
    const { workId, sizeKey, ...typed } = v;
    const values = finishValues(typed, settings.currency);
    const master = await currentMaster(studio.db.read, workId);
    const rung =
      master && (await offeredRung(studio.db.read, workId, sizeKey, master, settings));
    if (!rung) return refuse('This size is not on offer any more. Offer it at Size first.');
    if (!planFinish(rung.fit, values)) return refuse(NO_OPENING, { perSide: NO_OPENING });
    await write((tx) => addFinish(tx, { workId, sizeKey, values, at }));
    return null;
  });
}
