import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Reading } from './reading';
import { offsetOf, orderOf } from './page';
import type { Asked, Page } from './page';

/** One list: what a line holds, where it comes from, and in which orders it can be walked. */
export interface ListQuery {
  select: SQL;
  from: SQL;
  where: SQL;
  /** Orders that can be asked for, by the key of their column. */
  columns: Record<string, SQL>;
  /** The list's own order. */
  usual: SQL;
  /** Lines that are sums over several rows. */
  groupBy?: SQL;
  /** What the lines are counted in, where that can be had for less than `from`. */
  countFrom?: SQL;
}

/** One page of a list, and how many lines there are over all pages. */
export async function listPage<T>(
  db: Reading,
  asked: Asked,
  { select, from, where, columns, usual, groupBy, countFrom = from }: ListQuery,
): Promise<Page<T>> {
  const grouped = groupBy ? sql` GROUP BY ${groupBy}` : sql``;
  const rows = await db.all<T>(sql`
    SELECT ${select} FROM ${from} WHERE ${where}${grouped}
    ORDER BY ${orderOf(asked, columns, usual)} LIMIT ${asked.lines} OFFSET ${offsetOf(asked)}`);
  const counted = sql`SELECT 1 FROM ${countFrom} WHERE ${where}${grouped}`;
  const [count] = await db.all<{ n: number }>(
    groupBy
      ? sql`SELECT count(*) AS n FROM (${counted})`
      : sql`SELECT count(*) AS n FROM ${countFrom} WHERE ${where}`,
  );
  return { rows, total: count?.n ?? 0, page: asked.page };
}
