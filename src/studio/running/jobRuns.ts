import { addJob, getJob, saveJob, saveResult } from '@/data';
import type { JobRow, Writing } from '@/data';
import type { EndedJob, JobNow, Progress } from '@/engine';
import { faultWords } from '../words/faults';
import { handOverRun } from '../jobs/handOver';
import type { HandOverOrder } from '../jobs/handOver';
import { intakeRun, readRun } from '../jobs/master';
import type { IntakeSpec, ReadSpec } from '../jobs/master';
import { inspectRun } from '../jobs/inspect';
import type { InspectSpec } from '../jobs/inspect';
import { printFileRun } from '../jobs/printFile';
import type { PrintFileOrder } from '../jobs/printFile';
import { sheetRun } from '../jobs/sheet';
import type { SheetOrder } from '../jobs/sheet';
import type { Studio } from './open';
import { backupRun, checkRun } from '../jobs/safekeeping';
import type { BackupSpec } from '../jobs/safekeeping';

/** What each kind of job is told; plain data, kept in its row. */
export interface JobSpecs {
  intake: IntakeSpec;
  read: ReadSpec;
  inspect: InspectSpec;
  printFile: PrintFileOrder;
  sheet: SheetOrder;
  handOver: HandOverOrder;
  backup: BackupSpec;
  check: Record<string, never>;
}

/** Does the work; may answer with what it found, and with a job that was noted to follow it. */
type Run<Spec> = (
  open: Studio,
  spec: Spec,
  progress: Progress,
  signal: AbortSignal,
) => Promise<{ following?: JobRow; result?: unknown } | void>;

const RUNS: { [K in keyof JobSpecs]: Run<JobSpecs[K]> } = {
  intake: intakeRun,
  read: readRun,
  inspect: inspectRun,
  printFile: printFileRun,
  sheet: sheetRun,
  handOver: handOverRun,
  backup: backupRun,
  check: checkRun,
};

/** Writes a job down; it runs once it is handed to `queueJob`, after the write. */
export const noteJob = <K extends keyof JobSpecs>(
  tx: Writing,
  job: { kind: K; workId: number | null; spec: JobSpecs[K]; at: string },
): Promise<JobRow> => addJob(tx, job);

/** A fault of the disk or the database is kept in words that say what to do. */
function inWords(error: unknown): never {
  const words = faultWords(error);
  if (words) throw Object.assign(new Error(words, { cause: error }), { code: undefined });
  throw error;
}

/** Puts a noted job into the line. */
export function queueJob(open: Studio, row: JobRow): Promise<EndedJob> {
  const { id, kind, workId, spec } = row;
  const run = RUNS[kind] as Run<unknown>;
  return open.jobs.add(
    { id, kind, workId, state: 'queued', stage: 'waiting', share: 0, error: null },
    async (progress, signal) => {
      const ended = await run(open, spec, progress, signal).catch(inWords);
      if (ended?.result !== undefined)
        await open.db.write((tx) => saveResult(tx, id, ended.result));
      if (ended?.following) void queueJob(open, ended.following);
    },
  );
}

/** Notes and queues a job in one go. */
export async function startJob<K extends keyof JobSpecs>(
  open: Studio,
  job: { kind: K; workId: number | null; spec: JobSpecs[K]; at: string },
): Promise<{ id: number; ended: Promise<EndedJob> }> {
  const row = await open.db.write((tx) => noteJob(tx, job));
  return { id: row.id, ended: queueJob(open, row) };
}

/** Runs a job that ended before its time again, as a new job with the same order. */
export async function runJobAgain(
  open: Studio,
  id: number,
  at: string,
): Promise<number | null> {
  const old = await getJob(open.db.read, id);
  if (!old || !['failed', 'cancelled', 'cutOff'].includes(old.state)) return null;
  const { kind, workId, spec } = old;
  const row = await open.db.write(async (tx) => {
    await saveJob(tx, { ...old, state: 'cancelled', error: 'run again' });
    return addJob(tx, { kind, workId, spec, at });
  });
  void queueJob(open, row);
  return row.id;
}

/** A job as it stands now: from the running work, else as its row tells. */
export const followedJob = (open: Studio, row: JobRow): JobNow =>
  open.jobs.get(row.id) ?? {
    ...row,
    share: row.state === 'done' ? 1 : 0,
    ahead: 0,
    secondsLeft: null,
  };
