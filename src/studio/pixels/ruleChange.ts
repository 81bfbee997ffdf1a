import { recipePlan, ruleOf } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { currentMaster, newestPrintFiles, readSettings } from '@/data';
import type { Master } from '@/data';
import { runInWorker, storePaths } from '@/engine';
import type { PrintDifference } from '@/engine';
import { colourOf, ensureWorkingCopy } from '../jobs/picture';
import { offeredRung } from '../reads/offered';
import type { OfferedRung } from '../reads/offered';
import { targetFor } from '../reads/targets';
import type { Studio } from '../running/studio';

/** How far a print by a recipe of an earlier rule is from the same by the rule of now. */
export async function ruleChange(
  open: Studio,
  { master, rung, recipe }: { master: Master; rung: OfferedRung; recipe: Recipe },
  signal: AbortSignal,
): Promise<PrintDifference> {
  const silent = () => undefined;
  await ensureWorkingCopy(open, master, silent, signal);
  const work = {
    pixels: storePaths(open.home).pixels(master.picture),
    colour: await colourOf(open, master),
    plan: recipePlan(master.facts, rung.fit, recipe),
    recipe,
    into: await targetFor(open, recipe.convert.target),
  };
  return runInWorker('ruleDifference', work, silent, signal);
}

/** What a print file of an earlier rule would become, or why that cannot be said. */
export type RuleReport = { file: string; work: number; size: string; rule: number } & (
  PrintDifference | { error: string }
);

/** One report for the newest print file of each size that was made by an earlier rule. */
export async function* ruleReports(
  open: Studio,
  signal: AbortSignal,
): AsyncGenerator<RuleReport> {
  const db = open.db.read;
  const settings = await readSettings(db);
  for (const { name, workId, sizeKey, recipe } of await newestPrintFiles(db)) {
    const rule = ruleOf(recipe);
    if (rule !== 1) continue;
    const about = { file: name, work: workId, size: sizeKey, rule };
    const master = await currentMaster(db, workId);
    const rung = master && (await offeredRung(db, workId, sizeKey, master, settings));
    if (!rung)
      yield { ...about, error: 'its size is not on offer any more, or its master is gone' };
    else
      try {
        yield { ...about, ...(await ruleChange(open, { master, rung, recipe }, signal)) };
      } catch (error) {
        yield { ...about, error: (error as Error).message };
      }
  }
}
