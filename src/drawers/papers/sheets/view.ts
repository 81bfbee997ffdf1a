import { notFound } from 'next/navigation';
import { planFault, sheetJob } from '@/core/cut';
import { printerTakes } from '@/core/ink';
import type { PlannedPiece } from '@/core/cut';
import {
  errandOfSheet,
  gangFileOf,
  getPaper,
  getSheetPlan,
  lotsOf,
  newestFilesElsewhere,
  newestSheets,
  ownPrinterOf,
  printedSheetsOf,
  readSettings,
  routesNow,
} from '@/data';
import type { Reading, SheetPlan } from '@/data';
import type { JobNow } from '@/engine';
import type { Studio } from '@/studio';
import { PLANNED, isHere, layoutText, planOfJob } from '@/studio';
import { rowId, stockToCut, studio } from '@/studio';
import { sheetsOf } from '@/studio/reads/offered';
import { nominalSize } from '@/core/size';
import { rulesTyped } from './sheetForms';
import { waitingPiecesOf } from './wantedPieces';

/** Files and sheets that are offered at once; more are found by typing. */
const OFFERED = 12;
/** Of those that ended so many are looked at for one that failed. */
const ENDED = 6;

/** What could be put on the plan beside what is on it. */
async function offersFor(
  db: Reading,
  plan: SheetPlan,
  lines: readonly PlannedPiece[],
  find: string,
) {
  const on = new Set(plan.state.pieces.map((p) => p.id));
  const [files, sheets] = await Promise.all([
    newestFilesElsewhere(db, { notWorkId: 0, find }, OFFERED),
    newestSheets(db, OFFERED / 2),
  ]);
  return {
    find,
    lines: lines.filter((l) => !on.has(l.id)),
    files: files.map(({ work, file }) => ({
      id: file.id,
      title: work,
      size: nominalSize(file.sizeKey)?.label ?? file.sizeKey,
      name: file.name,
    })),
    sheets: sheets
      .filter((s) => !on.has(`sheet:${s.id}`))
      .map((s) => ({ id: s.id, name: s.name })),
  };
}

/** The files of the sheets of a plan as they lie now, and the errands that they went with. */
async function filesOfSheets(db: Reading, plan: SheetPlan) {
  const { pieces, rules } = plan.state;
  const { margin, marks, labels } = rules;
  return Promise.all(
    (plan.state.plan?.sheets ?? []).map(async (sheet) => {
      const layout = layoutText({ sheet, pieces, rules: { margin, marks, labels } });
      const file = await gangFileOf(db, plan.id, layout);
      if (!file) return null;
      const { id, name, bytes, ppi, checks } = file;
      const errand = await errandOfSheet(db, id);
      const failed = checks.filter((c) => !c.passed).length;
      return { id, name, bytes, ppi, failed, errand };
    }),
  );
}

/** The work under way for sheets of a plan, and what of it failed last. */
async function jobsOf({ jobs, db }: Studio, planId: number): Promise<JobNow[]> {
  const all = [
    ...jobs.list(),
    ...jobs
      .ended(ENDED)
      .filter((j) => j.state === 'failed')
      .slice(0, 1),
  ];
  const own = await Promise.all(
    all.map(async (job) =>
      PLANNED.includes(job.kind) && (await planOfJob(db.read, job.id)) === planId
        ? job
        : null,
    ),
  );
  return own.filter((job) => job !== null);
}

/** One plan of sheets: what is wanted, how it lies, what came of it. */
export async function loadSheets(id: string, query: Record<string, string | undefined>) {
  const open = await studio();
  const db = open.db.read;
  const plan = await getSheetPlan(db, rowId(id));
  if (!plan) notFound();
  const { state, paperId } = plan;
  const [settings, paper, lots, routes, printed, stock, printer] = await Promise.all([
    readSettings(db),
    getPaper(db, paperId),
    lotsOf(db, paperId),
    routesNow(db),
    printedSheetsOf(db, plan.id),
    stockToCut(db, paperId, state.lots),
    ownPrinterOf(db),
  ]);
  const wanted = await waitingPiecesOf(db, paperId);
  const works = [...new Set(state.pieces.flatMap((p) => p.workId ?? []))];
  const sheetFor = await sheetsOf(db, works, settings);
  const pictures = state.pieces.map(({ id, workId, sizeKey }) => {
    const { fit, picture } = sheetFor(workId, sizeKey);
    return { id, fit, picture: picture && `/api/previews/${picture}` };
  });
  return {
    id: plan.id,
    stateId: plan.stateId,
    state,
    paper: {
      id: paperId,
      name: paper?.name ?? '',
      scuffs: paper?.scuffs ?? false,
      grain: paper?.grain ?? 'not known',
    },
    lots,
    /** Lots that the own printer does not take: wider than it prints, or no sheets, no rolls. */
    notTaken: printer
      ? {
          printer: printer.name,
          lots: lots
            .filter((l) => !printerTakes(printer, l))
            .map((l) => ({ id: l.id, name: l.name })),
        }
      : null,
    /** The paper is not any more what it was planned for: the plan takes more than there is. */
    stale:
      state.plan !== null && planFault(sheetJob({ ...state, stock }), state.plan) !== null,
    currency: lots[0]?.currency ?? settings.currency,
    pictures,
    /** Prints for orders that do not wait for so many any more: printed from another plan, shipped, cancelled. */
    notWanted: state.pieces
      .filter((p) => p.purpose === 'order')
      .filter((p) => p.count > (wanted.find((w) => w.id === p.id)?.count ?? 0))
      .map((p) => p.id),
    files: await filesOfSheets(db, plan),
    /** Who prints it: those that print here first. */
    routes: [...routes.filter(isHere), ...routes.filter((r) => !isHere(r))].map(
      ({ id, name }) => ({ id, name }),
    ),
    printed,
    jobs: await jobsOf(open, plan.id),
    rules: rulesTyped(state.rules, settings),
    offers: await offersFor(db, plan, wanted, (query.find ?? '').trim().slice(0, 80)),
    show: query.show ?? 'sheets',
  };
}

export type SheetsView = Awaited<ReturnType<typeof loadSheets>>;
