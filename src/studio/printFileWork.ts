import { rm, stat } from 'node:fs/promises';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { printFileName, verifyPrintFile } from '@/core/prepare';
import { RGB_SPACES } from '@/core/colour';
import { addPrintFile, printFilesOf } from '@/data';
import type { Master } from '@/data';
import { hashFile, keep, reopenPrintFile, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { colourOf } from './masterWork';
import { now } from './open';
import type { Studio } from './open';

export interface PrintFileOrder {
  workId: number;
  title: string;
  sizeKey: string;
  sizeLabel: string;
  master: Master;
  plan: PrintPlan;
  recipe: Recipe;
  /** When it was ordered; now, unless told otherwise. */
  at?: string;
}

/**
 * Writes a print file in a worker, reopens and checks it, keeps it under its hash and notes
 * it down with its recipe. Cancelled or failed, it leaves nothing.
 */
export async function writePrintFile(
  open: Studio,
  order: PrintFileOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const { master, plan, recipe, workId, sizeKey } = order;
  const paths = storePaths(open.home);
  const target = paths.temporary();
  try {
    await runInWorker(
      {
        task: 'printFile',
        pixels: paths.pixels(master.sha256),
        colour: await colourOf(open, master),
        plan,
        recipe,
        target,
      },
      progress,
      signal,
    );
    progress('reopening and checking', 1);
    const checks = verifyPrintFile(
      {
        width: plan.width,
        height: plan.height,
        ppi: recipe.ppi,
        profile: RGB_SPACES[recipe.convert.space].name,
      },
      await reopenPrintFile(target, plan),
    );
    const sha256 = await hashFile(target);
    const { size: bytes } = await stat(target);
    await keep(open.home, { path: target, sha256, bytes });
    return await open.db.write(async (tx) => {
      const earlier = await printFilesOf(tx, workId);
      const version = 1 + earlier.filter((f) => f.sizeKey === sizeKey).length;
      return addPrintFile(tx, {
        workId,
        sizeKey,
        masterId: master.id,
        version,
        name: printFileName(order.sizeLabel, order.title, recipe.ppi, version),
        sha256,
        bytes,
        width: plan.width,
        height: plan.height,
        recipe,
        checks,
        at: order.at ?? now(),
      });
    });
  } catch (error) {
    await rm(target, { force: true });
    throw error;
  }
}
