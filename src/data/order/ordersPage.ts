import { sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { LineKind, OrderState } from '@/core/order';
import type { Minor } from '@/core/units';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { foundOnce, idsFound, matchOf, numberOf, tallied } from '../page';
import type { Asked, Page } from '../page';

/** An order as a line of its list: its first line, and how many more there are. */
export interface OrderLineOfList {
  number: string;
  state: OrderState;
  kind: LineKind;
  workId: number | null;
  /** Title of the first line's work, or name of its goods. */
  what: string;
  series: Series | null;
  impression: number | null;
  /** N of its edition; 0 for an open one, null for none. */
  of: number | null;
  editionKind: 'limited' | 'open' | null;
  artistsProofs: number | null;
  lines: number;
  unsealed: number;
  customer: string;
  town: string;
  price: Minor;
  currency: string;
  placedAt: string;
  dueOn: string;
  shippedAt: string | null;
}

const COLUMNS = {
  number: sql`o.id`,
  what: sql`coalesce(w.title, l.name, '')`,
  customer: sql`lower(c.name)`,
  placed: sql`o.placed_at`,
  due: sql`o.due_on`,
  price: sql`n.price_minor`,
};

/** Ids of orders by number, customer, town or title. */
const idsByWords = (match: string) => sql`(SELECT * FROM ${idsFound('order', match)}
  UNION SELECT l.order_id FROM line_now l WHERE l.work_id IN ${idsFound('work', match)})`;

/** Ids of orders by words, or by a pencilled number n/N; null where nothing was typed. */
function idsOf(find: string) {
  const pencilled = numberOf(find);
  if (pencilled)
    return sql`(SELECT o2.id AS id FROM impression_now i
      JOIN edition_now e ON e.edition_id = i.edition_id AND e.size = ${pencilled.of}
      JOIN orders o2 ON o2.number = i.order_number
      WHERE i.number = ${pencilled.number} AND i.series = 'number')`;
  const match = matchOf(find);
  return match === null ? null : idsByWords(match);
}

/** What state orders are wanted in; `open` are those that have not left, sealed or not. */
export const ORDERS_SHOWN = ['all', 'open', 'shipped', 'cancelled'] as const;
export type OrdersShown = (typeof ORDERS_SHOWN)[number];

const STATES = {
  all: sql`true`,
  open: sql`n.state IN ('open', 'sealed')`,
  shipped: sql`n.state = 'shipped'`,
  cancelled: sql`n.state = 'cancelled'`,
};
const COUNTED = {
  all: tallied('order'),
  open: tallied('order.open', 'order.sealed'),
  shipped: tallied('order.shipped'),
  cancelled: tallied('order.cancelled'),
};

/** Orders with their first line that is not taken out, and its work. */
const JOINED = sql`orders o JOIN order_now n ON n.order_id = o.id
  LEFT JOIN order_line l ON l.id = (SELECT min(x.line_id) FROM line_now x WHERE x.order_id = o.id
    AND (x.state <> 'removed' OR n.lines = 0))
  LEFT JOIN work w ON w.id = l.work_id`;

/** One page of orders: newest first unless asked otherwise; by state, the open ones by their day first. */
export async function ordersPage(
  db: Reading,
  asked: Asked,
  shown: OrdersShown,
): Promise<Page<OrderLineOfList>> {
  // By state, the list is walked along the index of how things stand and when they are due.
  const byState = asked.sort === 'state' || (asked.sort === null && shown === 'open');
  const usual = byState
    ? asked.down
      ? sql`n.state DESC, n.due_on DESC`
      : sql`n.state, n.due_on`
    : sql`o.id DESC`;
  const along = byState
    ? sql`order_now n CROSS JOIN orders o ON o.id = n.order_id`
    : asked.sort === 'customer'
      ? sql`customer c CROSS JOIN orders o ON o.customer_id = c.id JOIN order_now n ON n.order_id = o.id`
      : asked.sort === 'what'
        ? JOINED
        : sql`orders o JOIN order_now n ON n.order_id = o.id`;
  const ids = idsOf(asked.find);
  const found = ids && (await foundOnce(db, ids));
  return listPage<OrderLineOfList>(db, byState ? { ...asked, sort: null } : asked, {
    select: sql`o.number AS number, n.state AS state, l.kind AS kind, l.work_id AS workId,
      coalesce(w.title, l.name, '') AS what, l.series AS series, l.impression AS impression,
      e.size AS "of", e.kind AS editionKind, e.artists_proofs AS artistsProofs,
      n.lines AS lines, n.unsealed AS unsealed, c.name AS customer, c.town AS town,
      n.price_minor AS price, n.currency AS currency, o.placed_at AS placedAt,
      o.due_on AS dueOn, n.shipped_at AS shippedAt`,
    from: sql`${JOINED} JOIN customer c ON c.id = o.customer_id
      LEFT JOIN edition_now e ON e.edition_id = l.edition_id`,
    walk: { key: sql`o.id`, along },
    countFrom: sql`orders o JOIN order_now n ON n.order_id = o.id`,
    total: found ? null : COUNTED[shown],
    newestOnly: found?.newestOnly,
    where: sql`${found ? sql`o.id IN ${found.among}` : sql`true`} AND ${STATES[shown]}`,
    columns: COLUMNS,
    usual,
  });
}

/** How many orders there are, not gone yet, and past their day. */
export async function orderCounts(
  db: Reading,
  today: string,
): Promise<{ all: number; open: number; late: number; shipped: number }> {
  const [row] = await db.all<{ all: number; open: number; late: number; shipped: number }>(
    sql`
    SELECT ${COUNTED.all} AS "all", ${COUNTED.open} AS open, ${COUNTED.shipped} AS shipped,
      (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed') AND due_on < ${today}) AS late`,
  );
  return row!;
}
