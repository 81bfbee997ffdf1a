import { addJob, getJob, saveJob, saveResult } from '@/data';
import type { JobRow, Writing } from '@/data';
import type { EndedJob, JobNow } from '@/engine';
import type { Studio } from '../running/studio';
import { faultWords } from '../words/faults';
import { jobKind } from './jobKinds';
import type { JobSpecs } from './jobKinds';

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
  return open.jobs.add(
    { id, kind, workId, state: 'queued', stage: 'waiting', share: 0, error: null },
    async (progress, signal) => {
      const ended = await jobKind(kind).run(open, spec, progress, signal).catch(inWords);
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
  const row = await open.db.write((tx) => addJob(tx, { ...job, by: open.role }));
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
