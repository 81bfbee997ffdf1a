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
  /** What the lines are counted in, where that can be had for less than `from`. */
  countFrom?: SQL;
  /** How many lines there are, where that is kept counted. */
  total?: SQL | null;
  /** Key of a line and what is walked to sort them: only the lines of the page are then read from `from`. */
  walk?: { key: SQL; along: SQL };
  /** What was found is cut: these are the newest of it. */
  newestOnly?: boolean;
}

/** Lines by their keys, in the order in which these are walked. */
async function inTheirOrder<T>(
  db: Reading,
  { select, from }: Pick<ListQuery, 'select' | 'from'>,
  key: SQL,
  walked: SQL,
): Promise<T[]> {
  const keys = await db.all<{ key: number }>(sql`SELECT ${key} AS key FROM ${walked}`);
  if (keys.length === 0) return [];
  const rows = await db.all<T & { key: number }>(
    sql`SELECT ${key} AS key, ${select} FROM ${from} WHERE ${key} IN ${keys.map((k) => k.key)}`,
  );
  const byKey = new Map(rows.map(({ key: k, ...row }) => [k, row as T]));
  return keys.flatMap((k) => byKey.get(k.key) ?? []);
}

/** One page of a list, and how many lines there are over all pages. */
export async function listPage<T>(
  db: Reading,
  asked: Asked,
  {
    select,
    from,
    where,
    columns,
    usual,
    walk,
    countFrom = walk?.along ?? from,
    total,
    newestOnly = false,
  }: ListQuery,
): Promise<Page<T>> {
  const page = sql`ORDER BY ${orderOf(asked, columns, usual)} LIMIT ${asked.lines} OFFSET ${offsetOf(asked)}`;
  const rows = walk
    ? await inTheirOrder<T>(
        db,
        { select, from },
        walk.key,
        sql`${walk.along} WHERE ${where} ${page}`,
      )
    : await db.all<T>(sql`SELECT ${select} FROM ${from} WHERE ${where} ${page}`);
  const [count] = await db.all<{ n: number }>(
    total
      ? sql`SELECT ${total} AS n`
      : sql`SELECT count(*) AS n FROM ${countFrom} WHERE ${where}`,
  );
  return { rows, total: count?.n ?? 0, newestOnly, page: asked.page };
}
