import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { tallied } from '../page';

/** Orders that have not left, the earliest day first. */
export const ordersDue = (
  db: Reading,
  limit: number,
): Promise<
  { number: string; what: string; more: number; customer: string; due: string }[]
> =>
  db.all(sql`
    SELECT o.number AS number, coalesce(w.title, l.name, '') AS what, max(0, n.lines - 1) AS more,
      c.name AS customer, n.due_on AS due
    FROM order_now n INDEXED BY order_now_waiting CROSS JOIN orders o ON o.id = n.order_id
    JOIN customer c ON c.id = o.customer_id
    LEFT JOIN order_line l ON l.id = (SELECT min(x.line_id) FROM line_now x WHERE x.order_id = o.id AND x.state <> 'removed')
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.state IN ('open', 'sealed') ORDER BY n.due_on LIMIT ${limit}`);

/** Orders that are late, and that leave from `today` to `until`; ISO days. */
export async function dueCounts(
  db: Reading,
  today: string,
  until: string,
): Promise<{ late: number; due: number }> {
  const [row] = await db.all<{ late: number; due: number }>(sql`
    SELECT (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed') AND due_on < ${today}) AS late,
      (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed') AND due_on BETWEEN ${today} AND ${until}) AS due`);
  return row!;
}

type Named = { workId: number; work: string };

/**
 * Works that lack something: a master; sizes on offer, though they have a master; a profile,
 * where the master carries none and nothing was said about its space.
 */
export const worksLacking = (
  db: Reading,
  what: 'master' | 'sizes' | 'profile',
  limit: number,
): Promise<Named[]> =>
  db.all(sql`
    SELECT w.id AS workId, w.title AS work FROM work_lack k CROSS JOIN work w ON w.id = k.work_id
    WHERE k.what = ${what} ORDER BY k.work_id LIMIT ${limit}`);

/** When the first and the last line of the log book were written. */
export async function writtenSpan(
  db: Reading,
): Promise<{ first: string | null; last: string | null }> {
  const [row] = await db.all<{ first: string | null; last: string | null }>(
    sql`SELECT (SELECT min(at) FROM log_line) AS first, (SELECT max(at) FROM log_line) AS last`,
  );
  return row!;
}

/** How much lies in each drawer. */
export async function drawerCounts(db: Reading): Promise<{
  works: number;
  papers: number;
  proofsOut: number;
  editions: number;
  materials: number;
  ordersOpen: number;
}> {
  const [row] = await db.all<Awaited<ReturnType<typeof drawerCounts>>>(sql`
    SELECT ${tallied('work')} AS works, ${tallied('paper')} AS papers,
      (SELECT count(*) FROM proof_out) AS proofsOut, ${tallied('edition')} AS editions,
      ${tallied('material')} AS materials,
      ${tallied('order.open', 'order.sealed')} AS ordersOpen`);
  return row!;
}
