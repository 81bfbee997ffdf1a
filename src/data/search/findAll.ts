import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Reading } from '../reading';
import { matchOf, numberOf } from '../page';
import type { Searched } from '../page';

export type Hit =
  | { kind: 'work'; workId: number; title: string; medium: string; year: number }
  | { kind: 'paper'; paperId: number; name: string; maker: string }
  | {
      kind: 'order';
      number: string;
      what: string;
      customer: string;
      town: string;
    }
  | { kind: 'customer'; customerId: number; name: string; town: string }
  | {
      kind: 'impression';
      editionId: number;
      workId: number;
      work: string;
      sizeKey: string;
      series: Series;
      number: number;
      of: number;
      state: string;
      order: string | null;
    };

/** What is found under some words or a pencilled number: works, orders, papers; impressions. */
export async function findAll(db: Reading, find: string, limit: number): Promise<Hit[]> {
  const pencilled = numberOf(find);
  if (pencilled) {
    const rows = await db.all<Omit<Extract<Hit, { kind: 'impression' }>, 'kind'>>(sql`
      SELECT i.edition_id AS editionId, e.work_id AS workId, w.title AS work, e.size_key AS sizeKey,
        i.series AS series, i.number AS number, n.size AS "of", i.state AS state, i.order_number AS "order"
      FROM impression_now i JOIN edition_now n ON n.edition_id = i.edition_id
      JOIN edition e ON e.id = i.edition_id JOIN work w ON w.id = e.work_id
      WHERE i.number = ${pencilled.number} AND n.size = ${pencilled.of} AND i.series = 'number'
      ORDER BY w.title LIMIT ${limit}`);
    return rows.map((row) => ({ kind: 'impression', ...row }));
  }
  const match = matchOf(find);
  if (match === null) return [];
  // The best of works and papers; of orders and customers, which bear a name alike, the newest.
  const best = sql`rank`;
  const newest = sql`rowid DESC`;
  const ids = (kind: Searched, order: SQL) => sql`
    SELECT rowid FROM ${sql.raw(`${kind}_search`)} WHERE ${sql.raw(`${kind}_search`)} MATCH ${match}
    ORDER BY ${order} LIMIT ${limit}`;
  const [works, papers, orders, customers] = await Promise.all([
    db.all<{ workId: number; title: string; medium: string; year: number }>(sql`
      SELECT id AS workId, title, medium, year FROM work WHERE id IN (${ids('work', best)})`),
    db.all<{ paperId: number; name: string; maker: string }>(sql`
      SELECT id AS paperId, name, maker FROM paper WHERE id IN (${ids('paper', best)})`),
    db.all<{ number: string; what: string; customer: string; town: string }>(sql`
      SELECT o.number AS number, coalesce(w.title, l.name, '') AS what, c.name AS customer, c.town AS town
      FROM orders o JOIN customer c ON c.id = o.customer_id
      LEFT JOIN order_line l ON l.id = (SELECT min(x.id) FROM order_line x WHERE x.order_id = o.id)
      LEFT JOIN work w ON w.id = l.work_id
      WHERE o.id IN (${ids('order', newest)}) ORDER BY o.id DESC`),
    db.all<{ customerId: number; name: string; town: string }>(sql`
      SELECT id AS customerId, name, town FROM customer WHERE id IN (${ids('customer', newest)})`),
  ]);
  return sharedOut<Hit>(limit, [
    works.map((w) => ({ kind: 'work', ...w })),
    papers.map((p) => ({ kind: 'paper', ...p })),
    orders.map((o) => ({ kind: 'order', ...o })),
    customers.map((c) => ({ kind: 'customer', ...c })),
  ]);
}

/**
 * So many of several lists, in their order: each has its even share, and what one does not
 * use goes to those that have more.
 */
export function sharedOut<T>(limit: number, lists: readonly T[][]): T[] {
  const given = lists.map(() => 0);
  for (let left = limit; left > 0;) {
    const wanting = lists.flatMap((l, i) => (given[i]! < l.length ? [i] : []));
    if (wanting.length === 0) break;
    for (const i of wanting.slice(0, left)) given[i]! += 1;
    left -= Math.min(left, wanting.length);
  }
  return lists.flatMap((l, i) => l.slice(0, given[i]));
}
