import { sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Minor } from '@/core/units';
import type { Reading } from '../database';
import { PAGE_LINES, matchOf, numberOf, offsetOf, orderOf } from '../page';
import type { Asked, Page } from '../page';

export interface OrderLine {
  number: string;
  workId: number;
  work: string;
  series: Series;
  impression: number;
  /** N of its edition; 0 for an open one. */
  of: number;
  editionKind: 'limited' | 'open';
  artistsProofs: number;
  customer: string;
  town: string;
  price: Minor;
  placedAt: string;
  dueOn: string;
  sealed: number;
  shippedAt: string | null;
}

const COLUMNS = {
  number: sql`o.id`,
  work: sql`w.title`,
  customer: sql`c.name`,
  placed: sql`o.placed_at`,
  due: sql`o.due_on`,
  price: sql`o.price_minor`,
};

/** Orders by number, customer, town or title, or by a pencilled number n/N. */
function found(find: string) {
  const pencilled = numberOf(find);
  if (pencilled)
    return sql`o.id IN (SELECT o2.id FROM impression_now i
      JOIN edition_now e ON e.edition_id = i.edition_id AND e.size = ${pencilled.of}
      JOIN orders o2 ON o2.number = i.order_number
      WHERE i.number = ${pencilled.number} AND i.series = 'number')`;
  const match = matchOf(find);
  if (match === null) return sql`true`;
  return sql`o.id IN (SELECT ref FROM search WHERE search MATCH ${match} AND kind = 'order'
    UNION SELECT o2.id FROM search s JOIN orders o2 ON o2.work_id = s.ref
      WHERE s.search MATCH ${match} AND s.kind = 'work')`;
}

/** What state orders are wanted in. */
export type OrdersShown = 'all' | 'open' | 'shipped';

/** One page of orders: newest first unless asked otherwise; by state, the open ones by their day first. */
export async function ordersPage(
  db: Reading,
  asked: Asked,
  shown: OrdersShown,
): Promise<Page<OrderLine>> {
  const state =
    shown === 'open'
      ? sql`n.shipped_at IS NULL`
      : shown === 'shipped'
        ? sql`n.shipped_at IS NOT NULL`
        : sql`true`;
  const where = sql`${found(asked.find)} AND ${state}`;
  // By state, the list is walked along the index of what has gone and when it is due.
  const byState = asked.sort === 'state' || (asked.sort === null && shown === 'open');
  const order = byState
    ? asked.down
      ? sql`n.shipped_at DESC, n.due_on DESC`
      : sql`n.shipped_at, n.due_on`
    : orderOf(asked, COLUMNS, sql`o.id DESC`);
  const from = byState
    ? sql`order_now n CROSS JOIN orders o ON o.id = n.order_id`
    : sql`orders o JOIN order_now n ON n.order_id = o.id`;
  const rows = await db.all<OrderLine>(sql`
    SELECT o.number AS number, o.work_id AS workId, w.title AS work, o.series AS series,
      o.impression AS impression, e.size AS "of", e.kind AS editionKind,
      e.artists_proofs AS artistsProofs,
      c.name AS customer, c.town AS town, o.price_minor AS price,
      o.placed_at AS placedAt, o.due_on AS dueOn, n.sealed AS sealed, n.shipped_at AS shippedAt
    FROM ${from}
    JOIN customer c ON c.id = o.customer_id
    JOIN work w ON w.id = o.work_id
    JOIN edition_now e ON e.edition_id = o.edition_id
    WHERE ${where} ORDER BY ${order}
    LIMIT ${PAGE_LINES} OFFSET ${offsetOf(asked)}`);
  const [count] = await db.all<{ n: number }>(sql`
    SELECT count(*) AS n FROM orders o JOIN order_now n ON n.order_id = o.id WHERE ${where}`);
  return { rows, total: count?.n ?? 0, page: asked.page };
}

/** How many orders there are, open, and past their day. */
export async function orderCounts(
  db: Reading,
  today: string,
): Promise<{ all: number; open: number; late: number }> {
  const [row] = await db.all<{ all: number; open: number; late: number }>(sql`
    SELECT (SELECT count(*) FROM order_now) AS "all",
      (SELECT count(*) FROM order_now WHERE shipped_at IS NULL) AS open,
      (SELECT count(*) FROM order_now WHERE shipped_at IS NULL AND due_on < ${today}) AS late`);
  return row!;
}
