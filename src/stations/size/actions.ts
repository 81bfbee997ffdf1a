'use server';
import { FAMILIES, FAMILY_IDS, nominalSize } from '@/core/sizing';
import { addSizeEvent, offeredSizes, sizeStands } from '@/data';
import { act, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, defineInput, length, text, whole } from '@/studio/input';

const KEYS = FAMILY_IDS.flatMap((id) => FAMILIES[id].map((s) => s.key));

const offer = defineInput({
  workId: whole('Work', { min: 1 }),
  sizeKey: choice('Size', KEYS),
  fit: choice('How it meets the sheet', ['within', 'fill', 'cut']),
  border: length('Border', { min: 0, max: 400 }),
});

/** Puts a size on offer as it is laid out now. */
export async function offerSize(typed: unknown): Promise<ActionResult<null>> {
  return act(offer, typed, {}, async (value, { write, at, undoable }) => {
    const { workId, sizeKey, fit, border } = value;
    const sheet = nominalSize(sizeKey)!;
    if (2 * border >= Math.min(sheet.width, sheet.height)) {
      const message = `Border: two of them leave nothing of ${sheet.label} to print on. Make it narrower.`;
      return refuse(message, { border: message });
    }
    await write(async (tx) => {
      const before = (await sizeStands(tx, workId, sizeKey)) ?? {
        sizeKey,
        kind: 'withdrawn' as const,
        fit,
        border,
      };
      await addSizeEvent(tx, { ...value, kind: 'offered', reason: null, at });
      await undoable(tx, `offering ${sheet.label}`, {
        kind: 'sizes',
        workId,
        before: [before],
      });
    });
    return null;
  });
}

const withdraw = defineInput({
  workId: whole('Work', { min: 1 }),
  sizeKey: choice('Size', KEYS),
  reason: text('Reason', { max: 200 }),
});

/** Withdraws a size from sale, with the reason. */
export async function withdrawSize(typed: unknown): Promise<ActionResult<null>> {
  return act(
    withdraw,
    typed,
    {},
    async ({ workId, sizeKey, reason }, { studio, write, at, undoable }) => {
      const offered = (await offeredSizes(studio.db.read, workId)).find(
        (s) => s.sizeKey === sizeKey,
      );
      if (!offered)
        return refuse('This size is not on offer, so there is nothing to withdraw.');
      const { fit, border } = offered;
      const before = { sizeKey, kind: 'offered' as const, fit, border };
      const label = `withdrawing ${nominalSize(sizeKey)?.label ?? sizeKey}`;
      await write(async (tx) => {
        await addSizeEvent(tx, { workId, ...before, kind: 'withdrawn', reason, at });
        await undoable(tx, label, { kind: 'sizes', workId, before: [before] });
      });
      return null;
    },
  );
}
