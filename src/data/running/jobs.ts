import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { jobs } from '../schema';
import type { JobKind, Role } from '../schema';

const UNDER_WAY = ['queued', 'running'] as const;

export type JobRow = typeof jobs.$inferSelect;

export async function addJob(
  tx: Writing,
  job: { kind: JobKind; workId: number | null; spec: unknown; at: string; by?: Role },
): Promise<JobRow> {
  const [row] = await tx
    .insert(jobs)
    .values({ ...job, state: 'queued', stage: 'waiting' })
    .returning();
  return row!;
}

export async function saveJob(
  tx: Writing,
  { id, state, stage, error }: Pick<JobRow, 'id' | 'state' | 'stage' | 'error'>,
): Promise<void> {
  await tx.update(jobs).set({ state, stage, error }).where(eq(jobs.id, id));
}

/** Forgets the jobs of a work that did not come to be. */
export async function forgetJobs(tx: Writing, workId: number): Promise<void> {
  await tx.delete(jobs).where(eq(jobs.workId, workId));
}

/** The newest job of a kind, of one work. */
export async function newestJob(
  db: Reading,
  workId: number,
  kind: JobKind,
): Promise<JobRow | undefined> {
  const [row] = await db
    .select()
    .from(jobs)
    .where(and(eq(jobs.workId, workId), eq(jobs.kind, kind)))
    .orderBy(desc(jobs.id))
    .limit(1);
  return row;
}

/** Jobs of a kind and a work that are still to come: waiting, running, or cut off and not let go. */
export const jobsToCome = (db: Reading, workId: number, kind: JobKind): Promise<JobRow[]> =>
  db
    .select()
    .from(jobs)
    .where(
      and(
        eq(jobs.workId, workId),
        eq(jobs.kind, kind),
        inArray(jobs.state, [...UNDER_WAY, 'cutOff']),
      ),
    );

export const getJob = (db: Reading, id: number): Promise<JobRow | undefined> =>
  db.query.jobs.findFirst({ where: eq(jobs.id, id) });

/** The newest jobs of a kind, whatever became of them. */
export const recentJobs = (db: Reading, kind: JobKind, limit: number): Promise<JobRow[]> =>
  db.select().from(jobs).where(eq(jobs.kind, kind)).orderBy(desc(jobs.id)).limit(limit);

/** Jobs that a stopped server cut off and that nobody has run again or let go since. */
export const cutOffJobs = (db: Reading): Promise<JobRow[]> =>
  db.select().from(jobs).where(eq(jobs.state, 'cutOff')).orderBy(desc(jobs.id));

/** Jobs that stopped processes of these roles left queued or running: marked as cut off. */
export async function markCutOff(tx: Writing, stopped: readonly Role[]): Promise<void> {
  await tx
    .update(jobs)
    .set({ state: 'cutOff', error: 'cut off: Glassine was stopped while it ran' })
    .where(and(inArray(jobs.state, UNDER_WAY), inArray(jobs.by, [...stopped])));
}

/** The jobs of a kind that this server has under way, oldest first. */
export const jobsUnderWay = (db: Reading, kind: JobKind): Promise<JobRow[]> =>
  db
    .select()
    .from(jobs)
    .where(and(eq(jobs.kind, kind), inArray(jobs.state, UNDER_WAY), eq(jobs.by, 'server')))
    .orderBy(jobs.id);

/** Keeps what a job found or made. */
export async function saveResult(tx: Writing, id: number, result: unknown): Promise<void> {
  await tx.update(jobs).set({ result }).where(eq(jobs.id, id));
}

/** The newest finished job of a kind that belongs to no work. */
export async function lastDone(db: Reading, kind: JobKind): Promise<JobRow | undefined> {
  const [row] = await db
    .select()
    .from(jobs)
    .where(and(eq(jobs.kind, kind), eq(jobs.state, 'done')))
    .orderBy(desc(jobs.id))
    .limit(1);
  return row;
}
