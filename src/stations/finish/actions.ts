'use server';
import { addFinish, currentMaster } from '@/data';
import { act, offeredRung, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, defineForm, length, text, whole } from '@/core/input';
import { planFinish } from './plan';

const off = (title: string) => length(title, { min: 0, max: 50 });
const border = (title: string) => length(title, { min: 0, max: 600 });

const finish = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKey: text('Size', { max: 40 }),
  style: choice('Opening', ['overlap', 'reveal']),
  perSide: length('Per side', { min: 0, max: 400 }),
  offPrint: off('Print may be off'),
  offMat: off('Mat may be off'),
  offFrame: off('Frame may be off'),
  sides: border('Mat, sides'),
  above: border('Mat, above'),
  below: border('Mat, below'),
  moulding: length('Moulding width', { above: 0, max: 300 }),
  glass: length('Glazing thickness', { min: 0, max: 20 }),
  glazing: choice('Glazing', ['glass', 'acrylic']),
});

/** Keeps the mat and frame of a size. */
export async function keepFinish(typed: unknown): Promise<ActionResult<null>> {
  return act(finish, typed, {}, async (v, { studio, settings, write, at }) => {
    const { workId, sizeKey } = v;
    const master = await currentMaster(studio.db.read, workId);
    const rung =
      master && (await offeredRung(studio.db.read, workId, sizeKey, master, settings));
    if (!rung) return refuse('This size is not on offer any more. Offer it at Size first.');
    if (!planFinish(rung.fit, v)) {
      const message = 'Per side: the overlap covers the whole image. Make it smaller.';
      return refuse(message, { perSide: message });
    }
    await write((tx) =>
      addFinish(tx, { workId, sizeKey, input: typed as Record<string, unknown>, at }),
    );
    return null;
  });
}
