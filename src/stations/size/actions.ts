'use server';
import { FAMILIES, FAMILY_IDS, nominalSize } from '@/core/sizing';
import { addSizeEvent, offeredSizes } from '@/data';
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
  return act(offer, typed, {}, async ({ workId, sizeKey, fit, border }, { write, at }) => {
    const sheet = nominalSize(sizeKey)!;
    if (2 * border >= Math.min(sheet.width, sheet.height)) {
      const message = `Border: two of them leave nothing of ${sheet.label} to print on. Make it narrower.`;
      return refuse(message, { border: message });
    }
    await write((tx) =>
      addSizeEvent(tx, { workId, sizeKey, kind: 'offered', fit, border, reason: null, at }),
    );
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
    async ({ workId, sizeKey, reason }, { studio, write, at }) => {
      const offered = (await offeredSizes(studio.db.read, workId)).find(
        (s) => s.sizeKey === sizeKey,
      );
      if (!offered)
        return refuse('This size is not on offer, so there is nothing to withdraw.');
      const { fit, border } = offered;
      await write((tx) =>
        addSizeEvent(tx, { workId, sizeKey, kind: 'withdrawn', fit, border, reason, at }),
      );
      return null;
    },
  );
}
