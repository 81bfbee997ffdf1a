'use server';
import { SPACE_IDS } from '@/core/colour';
import { printPlan } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { currentMaster, getWork } from '@/data';
import { act, offeredRung, refuse, startJob } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, decimal, defineInput, text, whole } from '@/studio/input';

const order = defineInput({
  workId: whole('Work', { min: 1 }),
  sizeKey: text('Size', { max: 40 }),
  ppi: whole('Resolution', { min: 72, max: 720 }),
  amount: whole('Sharpen, amount', { min: 0, max: 300 }),
  radius: decimal('Sharpen, radius', { min: 0.3, max: 10 }, 'px'),
  threshold: whole('Sharpen, threshold', { min: 0, max: 50 }),
  space: choice('Colour space', SPACE_IDS),
  intent: choice('Rendering intent', ['relative', 'perceptual']),
});

/** Queues the writing of a print file for an offered size. */
export async function orderPrintFile(typed: unknown): Promise<ActionResult<number>> {
  return act(order, typed, {}, async (v, { studio, settings, at }) => {
    const db = studio.db.read;
    const [work, master] = await Promise.all([
      getWork(db, v.workId),
      currentMaster(db, v.workId),
    ]);
    if (!work || !master)
      return refuse('There is no master to print from. Bring the file at Capture.');
    if (master.facts.iccDescription === null && master.assumedSpace === null)
      return refuse(
        'The master carries no colour profile. Say at Capture which space it was saved in; colours are never guessed.',
      );
    const rung = await offeredRung(db, v.workId, v.sizeKey, master, settings);
    if (!rung)
      return refuse(
        'This size is not on offer any more. Offer it at Size, then prepare it.',
      );
    const plan = printPlan(master.facts, rung.fit, v.ppi);
    const bytes = plan.width * plan.height * 3;
    if (bytes > 4e9) {
      const message = `Resolution: the file would be ${(bytes / 1e9).toFixed(1)} GB, and TIFF ends at 4 GB. Use fewer ppi.`;
      return refuse(message, { ppi: message });
    }
    const recipe: Recipe = {
      resample: { kernel: 'lanczos3', factor: plan.factor },
      outputSharpen: { amount: v.amount, radius: v.radius, threshold: v.threshold },
      convert: { space: v.space, intent: v.intent, blackPoint: true },
      ppi: v.ppi,
    };
    const spec = {
      workId: work.id,
      title: work.title,
      sizeKey: v.sizeKey,
      sizeLabel: rung.label,
      masterId: master.id,
      plan,
      recipe,
    };
    const job = { kind: 'printFile' as const, workId: work.id, spec, at };
    return (await startJob(studio, job)).id;
  });
}
