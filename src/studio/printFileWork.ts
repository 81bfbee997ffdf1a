import { mkdir, rm, stat } from 'node:fs/promises';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { printFileName, verifyPrintFile } from '@/core/prepare';
import { RGB_SPACES } from '@/core/colour';
import { addPrintFile, getMaster, printFilesOf } from '@/data';
import { fillPrintFile, keep, partOf, runInWorker, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { colourOf, ensureWorkingCopy } from './masterWork';
import { now } from './open';
import type { Studio } from './open';

export interface PrintFileOrder {
  workId: number;
  title: string;
  sizeKey: string;
  sizeLabel: string;
  masterId: number;
  plan: PrintPlan;
  recipe: Recipe;
  /** When it was ordered; now, unless told otherwise. */
  at?: string;
}

/**
 * Writes a print file, reopens and checks it, keeps it under its hash and notes it down
 * with its recipe. Cancelled or failed, it leaves nothing.
 */
export async function writePrintFile(
  open: Studio,
  order: PrintFileOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  const { plan, recipe, workId, sizeKey } = order;
  const paths = storePaths(open.home);
  const target = paths.temporary();
  const master = await getMaster(open.db.read, order.masterId);
  if (!master) throw new Error('the master it was ordered from is not there any more');
  const silent = () => undefined;
  try {
    const colour = await colourOf(open, master);
    const pixels = paths.pixels(master.picture);
    await mkdir(paths.tmp, { recursive: true });
    await ensureWorkingCopy(open, master, silent, signal);
    await fillPrintFile(
      { pixels, colour, plan, recipe, target },
      partOf(progress, 0, 0.95),
      signal,
    );
    progress('reopening and checking', 0.95);
    const found = await runInWorker('reopen', { path: target, plan }, silent, signal);
    const checks = verifyPrintFile(
      {
        width: plan.width,
        height: plan.height,
        ppi: recipe.ppi,
        profile: RGB_SPACES[recipe.convert.space].name,
      },
      found,
    );
    progress('taking its checksum', 0.98);
    const sha256 = await runInWorker('hash', { path: target }, silent, signal);
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

/** The same as a job. */
export async function printFileRun(
  open: Studio,
  order: PrintFileOrder,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  await writePrintFile(open, order, progress, signal);
}
