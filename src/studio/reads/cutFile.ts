import { mkdir, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { cutFault, isFault, planCuts, smallestSheet } from '@/core/cut';
import type { CutJob, CutPlan } from '@/core/cut';
import { cutSvg } from '@/documents';
import { CUT_SCHEMA } from './cutSchema';
import { BadJob, readJobFile } from './jobFile';
import { cutFaultWords, unplacedWords } from '../words/cutWords';

const NO_MARGIN = { left: 0, right: 0, top: 0, bottom: 0 };

/** Reads a job. Throws BadJob, in words. */
async function jobIn(path: string): Promise<CutJob> {
  const job = await readJobFile<Partial<CutJob> & Pick<CutJob, 'pieces' | 'stock'>>(
    path,
    CUT_SCHEMA,
    'docs/paper-and-sheets.md',
  );
  return {
    gutter: 0,
    trim: 0,
    school: 'printThenCut',
    ...job,
    margin: { ...NO_MARGIN, ...job.margin },
    pieces: job.pieces.map((p) => ({
      ...p,
      count: p.count ?? 1,
      mayTurn: p.mayTurn ?? true,
    })),
  };
}

const share = (v: number) => Number(v.toFixed(4));

/** A plan as the command line says it. The keys are documented and stay as they are. */
export function cutReport(job: CutJob, plan: CutPlan) {
  return {
    sheets: plan.sheets,
    unplaced: plan.unplaced.map(({ piece, copy, why }) => {
      const needs = smallestSheet(
        job,
        job.pieces.find((p) => p.id === piece)!,
      );
      const says = unplacedWords(why, `${needs.width} × ${needs.height} mm`);
      return { piece, copy, why, says, ...(why === 'tooLarge' ? { needs } : {}) };
    }),
    wasteShare: share(plan.wasteShare),
    yieldShare: share(plan.yieldShare),
    cost: plan.cost,
    bound: plan.bound,
    boundOf: plan.boundOf,
    proved: plan.proved,
  };
}

/**
 * Plans a job in a file. `drawTo`: a folder that each sheet is drawn into at 1 : 1, as SVG.
 * Throws BadJob, in words.
 */
export async function planCutFile(
  path: string,
  drawTo: string | null,
  say: (share: number) => void,
): Promise<ReturnType<typeof cutReport>> {
  const job = await jobIn(path);
  const fault = cutFault(job);
  if (fault) throw new BadJob(`${basename(path)}: ${cutFaultWords(fault)}`);
  const planning = planCuts(job);
  for (;;) {
    const step = planning.next();
    if (!step.done) {
      say(step.value.share);
      continue;
    }
    const plan = step.value;
    if (isFault(plan)) throw new BadJob(`${basename(path)}: ${cutFaultWords(plan)}`);
    if (drawTo !== null) await draw(job, plan, drawTo);
    return cutReport(job, plan);
  }
}

async function draw(job: CutJob, plan: CutPlan, folder: string): Promise<void> {
  await mkdir(folder, { recursive: true }).catch(() => {
    throw new BadJob(`${folder}: no folder can be made there.`);
  });
  const several = new Set(job.pieces.filter((p) => p.count > 1).map((p) => p.id));
  for (const [i, sheet] of plan.sheets.entries()) {
    const file = join(folder, `sheet-${i + 1}.svg`);
    const title = `Sheet ${i + 1}: ${sheet.stock}, ${sheet.width} × ${sheet.length} mm`;
    const name = (piece: string, copy: number) =>
      several.has(piece) ? `${piece} (${copy + 1})` : piece;
    await writeFile(file, cutSvg(sheet, title, name), { flag: 'wx' }).catch(
      (error: unknown) => {
        throw new BadJob(
          (error as NodeJS.ErrnoException).code === 'EEXIST'
            ? `${file}: there is a file of that name already. Name another folder.`
            : `${file}: it cannot be written (${(error as Error).message}).`,
        );
      },
    );
  }
}
