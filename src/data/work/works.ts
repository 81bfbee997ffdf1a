import { count, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { works } from '../schema';
import { addLogLine } from '../log/log';

export type Work = typeof works.$inferSelect;
export type NewWork = Omit<Work, 'id'>;

export async function addWork(tx: Writing, work: NewWork): Promise<Work> {
  const [row] = await tx.insert(works).values(work).returning();
  await addLogLine(tx, { at: work.createdAt, what: 'work.new', workId: row!.id });
  return row!;
}

export const getWork = (db: Reading, id: number): Promise<Work | undefined> =>
  db.query.works.findFirst({ where: eq(works.id, id) });

export async function countWorks(db: Reading): Promise<number> {
  const [row] = await db.select({ n: count() }).from(works);
  return row?.n ?? 0;
}
