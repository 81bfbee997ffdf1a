import { desc, eq, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { tallied } from '../page';
import { works } from '../schema';
import { record } from '../log/log';

export type Work = typeof works.$inferSelect;
export type NewWork = Omit<Work, 'id'>;

export async function addWork(tx: Writing, work: NewWork): Promise<Work> {
  const row = await record(tx, works, work, (row) => ({
    at: work.createdAt,
    what: 'work.new',
    workId: row.id,
  }));
  return row;
}

export const getWork = (db: Reading, id: number): Promise<Work | undefined> =>
  db.query.works.findFirst({ where: eq(works.id, id) });

/** The artist of the work taken in last; null where there is none. */
export async function newestArtist(db: Reading): Promise<string | null> {
  const row = await db.query.works.findFirst({
    columns: { artist: true },
    orderBy: desc(works.id),
  });
  return row?.artist ?? null;
}

export async function countWorks(db: Reading): Promise<number> {
  const [row] = await db.all<{ n: number }>(sql`SELECT ${tallied('work')} AS n`);
  return row!.n;
}

/** Works of a title, its Latin letters large or small; of one title there may be several. */
export const worksTitled = (db: Reading, title: string): Promise<Work[]> =>
  db
    .select()
    .from(works)
    .where(sql`lower(${works.title}) = lower(${title})`)
    .limit(3);
