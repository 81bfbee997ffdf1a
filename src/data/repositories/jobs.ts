import { desc, eq, inArray } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { jobs } from '../schema';

export type JobRow = typeof jobs.$inferSelect;

export async function addJob(
  tx: Writing,
  kind: JobRow['kind'],
  workId: number,
  at: string,
): Promise<JobRow> {
  const [row] = await tx
    .insert(jobs)
    .values({ kind, workId, state: 'queued', stage: 'waiting', at })
    .returning();
  return row!;
}

export async function saveJob(
  tx: Writing,
  job: Pick<JobRow, 'id' | 'state' | 'stage' | 'error'>,
): Promise<void> {
  const { id, ...rest } = job;
  await tx.update(jobs).set(rest).where(eq(jobs.id, id));
}

/** Newest jobs of a work. */
export const jobsOfWork = (db: Reading, workId: number): Promise<JobRow[]> =>
  db.select().from(jobs).where(eq(jobs.workId, workId)).orderBy(desc(jobs.id)).limit(20);

/** The newest reading job of every work. */
export async function newestReadings(db: Reading): Promise<Map<number, JobRow>> {
  const rows = await db.select().from(jobs).where(eq(jobs.kind, 'read')).orderBy(jobs.id);
  return new Map(rows.map((row) => [row.workId, row]));
}

export const getJob = (db: Reading, id: number): Promise<JobRow | undefined> =>
  db.query.jobs.findFirst({ where: eq(jobs.id, id) });

/** Jobs that a stopped server left queued or running: marked as cut off. */
export async function markCutOff(tx: Writing): Promise<void> {
  await tx
    .update(jobs)
    .set({ state: 'failed', error: 'cut off: the server stopped while it ran' })
    .where(inArray(jobs.state, ['queued', 'running']));
}
