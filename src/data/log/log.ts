import { and, count, desc, eq, sql } from 'drizzle-orm';
import type { InferInsertModel, InferSelectModel, SQL } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import type { Reading, Writing } from '../reading';
import { logLines } from '../schema';

export type LogLine = typeof logLines.$inferSelect;

export interface NewLogLine {
  at: string;
  what: string;
  workId?: number;
  sizeKey?: string;
  editionId?: number;
  series?: Series;
  impression?: number;
  orderId?: number;
  detail?: Record<string, string | number | null>;
}

/** Lines that tell a fact: one, one for each work concerned, or none where another line tells it. */
type Told = NewLogLine | readonly NewLogLine[] | null;

/**
 * Writes lines into the log book by themselves: of a row that was edited, or of a step taken
 * back. A fact is told by the same call that writes it: `record`.
 */
export async function tell(tx: Writing, told: Told): Promise<void> {
  for (const line of [told ?? []].flat())
    await tx.insert(logLines).values({ ...line, detail: line.detail ?? {} });
}

/**
 * Writes a fact and what the log book tells of it, in one transaction; answers the row.
 * `told` may be made from the row.
 */
export async function record<T extends SQLiteTable>(
  tx: Writing,
  table: T,
  values: InferInsertModel<T>,
  told: Told | ((row: InferSelectModel<T>) => Told),
): Promise<InferSelectModel<T>> {
  const rows = (await tx
    .insert(table)
    .values(values as never)
    .returning()) as InferSelectModel<T>[];
  const row = rows[0]!;
  await tell(tx, typeof told === 'function' ? told(row) : told);
  return row;
}

export interface LogFilter {
  workId?: number;
  editionId?: number;
  series?: Series;
  impression?: number;
  orderId?: number;
}

const matching = (filter: LogFilter): SQL | undefined => {
  const wanted: SQL[] = [];
  if (filter.workId) wanted.push(eq(logLines.workId, filter.workId));
  if (filter.editionId) wanted.push(eq(logLines.editionId, filter.editionId));
  if (filter.series) wanted.push(eq(logLines.series, filter.series));
  if (filter.impression) wanted.push(eq(logLines.impression, filter.impression));
  if (filter.orderId) wanted.push(eq(logLines.orderId, filter.orderId));
  return and(...wanted);
};

/** Lines of the log book, newest first. */
export const readLog = (
  db: Reading,
  filter: LogFilter,
  limit: number,
  offset = 0,
): Promise<LogLine[]> =>
  db
    .select()
    .from(logLines)
    .where(matching(filter))
    .orderBy(desc(logLines.at), desc(logLines.id))
    .limit(limit)
    .offset(offset);

/** How many lines there are. Of the whole book the last number tells: lines are never taken out. */
export async function countLog(db: Reading, filter: LogFilter): Promise<number> {
  if (matching(filter) === undefined) {
    const [last] = await db
      .select({ id: logLines.id })
      .from(logLines)
      .orderBy(desc(logLines.id))
      .limit(1);
    return last?.id ?? 0;
  }
  const [row] = await db.select({ n: count() }).from(logLines).where(matching(filter));
  return row?.n ?? 0;
}

/** Whether it was overruled before, for the same reason, that prints of a size of an edition have no valid reference. */
export async function wasOverruled(
  db: Reading,
  { editionId, sizeKey, why }: { editionId: number; sizeKey: string; why: string },
): Promise<boolean> {
  const [row] = await db
    .select({ n: count() })
    .from(logLines)
    .where(
      and(
        eq(logLines.what, 'reference.overruled'),
        eq(logLines.editionId, editionId),
        eq(logLines.sizeKey, sizeKey),
        sql`json_extract(${logLines.detail}, '$.why') = ${why}`,
      ),
    );
  return row!.n > 0;
}
