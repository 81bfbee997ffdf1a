import { asc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { finishes } from '../schema';

export type FinishRow = typeof finishes.$inferSelect;

export async function addFinish(tx: Writing, finish: Omit<FinishRow, 'id'>): Promise<void> {
  const { at, workId, sizeKey } = finish;
  await record(tx, finishes, finish, { at, what: 'finish.planned', workId, sizeKey });
}

/** The mat and frame plan in force of each size of a work. */
export async function finishesOf(db: Reading, workId: number): Promise<FinishRow[]> {
  const rows = await db
    .select()
    .from(finishes)
    .where(eq(finishes.workId, workId))
    .orderBy(asc(finishes.id));
  return [...new Map(rows.map((r) => [r.sizeKey, r])).values()];
}
