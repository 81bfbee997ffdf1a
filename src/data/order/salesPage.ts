import { sql } from 'drizzle-orm';
import type { Minor } from '@/core/units';
import type { Reading } from '../database';
import { PAGE_LINES, matchOf, offsetOf, orderOf } from '../page';
import type { Asked, Page } from '../page';

/** What was sold and shipped of one work at one size through one channel. */
export interface SalesLine {
  workId: number;
  work: string;
  sizeKey: string;
  channel: string;
  sold: number;
  gross: Minor;
  /** Price less cost and fees as reckoned when each order came in. */
  net: Minor;
  /** Impressions for which nothing was reckoned. */
  unreckoned: number;
}

/** The reckoning in force when an order came in, else the first one made later. */
const reckoned = sql`coalesce(
  (SELECT p.cost_minor + p.fees_minor FROM price p
    WHERE p.work_id = o.work_id AND p.size_key = o.size_key AND p.at <= o.placed_at
    ORDER BY p.id DESC LIMIT 1),
  (SELECT p.cost_minor + p.fees_minor FROM price p
    WHERE p.work_id = o.work_id AND p.size_key = o.size_key ORDER BY p.id LIMIT 1))`;

const sales = sql`
  SELECT o.work_id AS workId, o.size_key AS sizeKey, o.channel AS channel,
    o.price_minor AS price, n.postage_minor AS postage, ${reckoned} AS spent
  FROM order_now n CROSS JOIN orders o ON o.id = n.order_id WHERE n.shipped_at IS NOT NULL`;

const COLUMNS = {
  work: sql`work`,
  size: sql`sizeKey`,
  channel: sql`channel`,
  sold: sql`sold`,
  gross: sql`gross`,
  bar: sql`gross`,
  net: sql`net`,
};

/** One page of sales by work, size and channel: the largest gross first. */
export async function salesPage(db: Reading, asked: Asked): Promise<Page<SalesLine>> {
  const match = matchOf(asked.find);
  const where =
    match === null
      ? sql`true`
      : sql`w.id IN (SELECT ref FROM search WHERE search MATCH ${match} AND kind = 'work')`;
  const grouped = sql`
    SELECT w.title AS work, s.workId AS workId, s.sizeKey AS sizeKey, s.channel AS channel,
      count(*) AS sold, sum(s.price) AS gross,
      coalesce(sum(s.price - s.spent), 0) AS net, sum(s.spent IS NULL) AS unreckoned
    FROM (${sales}) s JOIN work w ON w.id = s.workId
    WHERE ${where} GROUP BY s.workId, s.sizeKey, s.channel`;
  const rows = await db.all<SalesLine>(sql`
    ${grouped} ORDER BY ${orderOf(asked, COLUMNS, sql`gross DESC`)}
    LIMIT ${PAGE_LINES} OFFSET ${offsetOf(asked)}`);
  const [count] = await db.all<{ n: number }>(sql`SELECT count(*) AS n FROM (
    SELECT 1 FROM order_now n JOIN orders o ON o.id = n.order_id JOIN work w ON w.id = o.work_id
    WHERE n.shipped_at IS NOT NULL AND ${where} GROUP BY o.work_id, o.size_key, o.channel)`);
  return { rows, total: count?.n ?? 0, page: asked.page };
}

export interface SalesSums {
  sold: number;
  gross: Minor;
  net: Minor;
  postage: Minor;
}

/** All that was sold and shipped, from a day on if one is given. */
export async function salesSums(db: Reading, since = ''): Promise<SalesSums> {
  const [row] = await db.all<SalesSums>(sql`
    SELECT count(*) AS sold, coalesce(sum(price), 0) AS gross,
      coalesce(sum(price - spent), 0) AS net, coalesce(sum(postage), 0) AS postage
    FROM (${sales} AND n.shipped_at >= ${since})`);
  return row!;
}
