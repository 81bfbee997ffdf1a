import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ImpressionState, Series } from '@/core/edition';
import type { LineState, OrderState } from '@/core/order';
import type { Minor } from '@/core/units';
import type { StockOf } from './stock';

/*
 * How things stand now. These tables are no facts: triggers derive them from the facts above
 * at every insert, so that lists can be sorted, filtered and paged without reading all of
 * history. They can be made anew from the facts at any time.
 */

export const editionNow = sqliteTable('edition_now', {
  editionId: integer('edition_id').primaryKey(),
  kind: text('kind').$type<'limited' | 'open'>().notNull(),
  size: integer('size').notNull(),
  artistsProofs: integer('artists_proofs').notNull(),
  /** Numbers by where they are; `out` is all that are not free. */
  here: integer('here').notNull(),
  ordered: integer('ordered').notNull(),
  sold: integer('sold').notNull(),
  out: integer('out').notNull(),
  /** Impressions spoiled and destroyed, over all printings. */
  spoiled: integer('spoiled').notNull(),
});

export const impressionNow = sqliteTable(
  'impression_now',
  {
    editionId: integer('edition_id').notNull(),
    series: text('series').$type<Series>().notNull(),
    number: integer('number').notNull(),
    state: text('state').$type<ImpressionState>().notNull(),
    printing: integer('printing').notNull(),
    orderNumber: text('order_number'),
    /** The size it was printed at; empty where that was not said. */
    sizeKey: text('size_key').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.editionId, t.series, t.number] }),
    index('impression_state').on(t.state, t.editionId, t.series, t.number),
    index('impression_number').on(t.number),
  ],
);

export const orderNow = sqliteTable(
  'order_now',
  {
    orderId: integer('order_id').primaryKey(),
    state: text('state').$type<OrderState>().notNull(),
    dueOn: text('due_on').notNull(),
    lines: integer('lines').notNull(),
    /** Lines that lie in no sealed parcel, and in none that has left. */
    unsealed: integer('unsealed').notNull(),
    unshipped: integer('unshipped').notNull(),
    /** When the last of it left. */
    shippedAt: text('shipped_at'),
    cancelledAt: text('cancelled_at'),
    price: integer('price_minor').$type<Minor>().notNull(),
    /** Of its first line; orders are of one currency. */
    currency: text('currency').notNull(),
  },
  (t) => [
    index('order_now_state').on(t.state, t.dueOn),
    index('order_now_price').on(t.price),
    /** What has not left yet, by its day. */
    index('order_now_waiting')
      .on(t.dueOn)
      .where(sql`state IN ('open', 'sealed')`),
  ],
);

export const lineNow = sqliteTable(
  'line_now',
  {
    lineId: integer('line_id').primaryKey(),
    orderId: integer('order_id').notNull(),
    workId: integer('work_id'),
    sizeKey: text('size_key'),
    state: text('state').$type<LineState>().notNull(),
    price: integer('price_minor').$type<Minor>().notNull(),
    /** What was paid back of it. */
    refund: integer('refund_minor').$type<Minor>().notNull(),
    parcelId: integer('parcel_id'),
    shippedAt: text('shipped_at'),
  },
  (t) => [
    index('line_now_order').on(t.orderId),
    index('line_now_work').on(t.workId, t.state),
    index('line_now_parcel').on(t.parcelId),
    index('line_now_shipped').on(t.shippedAt),
  ],
);

export const parcelNow = sqliteTable(
  'parcel_now',
  {
    parcelId: integer('parcel_id').primaryKey(),
    orderId: integer('order_id').notNull(),
    /** The sealing that counts; null while it is open. */
    sealedId: integer('sealed_id'),
    shippedAt: text('shipped_at'),
  },
  (t) => [index('parcel_now_order').on(t.orderId)],
);

/** What was sold of a work (0: of goods) at a size through a channel, summed up. */
export const saleNow = sqliteTable(
  'sale_now',
  {
    workId: integer('work_id').notNull(),
    what: text('what').notNull(),
    sizeKey: text('size_key').notNull(),
    channel: text('channel').notNull(),
    currency: text('currency').notNull(),
    sold: integer('sold').notNull(),
    gross: integer('gross_minor').$type<Minor>().notNull(),
    net: integer('net_minor').$type<Minor>().notNull(),
    postage: integer('postage_minor').$type<Minor>().notNull(),
    /** Pieces without reckoned cost or fees, and pieces with a channel's usual fees. */
    unreckoned: integer('unreckoned').notNull(),
    usualFees: integer('usual_fees').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.workId, t.what, t.sizeKey, t.channel, t.currency] }),
    index('sale_now_gross').on(t.gross),
  ],
);

/** The same by the month (`YYYY-MM`) in which each left. */
export const saleMonth = sqliteTable(
  'sale_month',
  {
    month: text('month').notNull(),
    currency: text('currency').notNull(),
    sold: integer('sold').notNull(),
    gross: integer('gross_minor').$type<Minor>().notNull(),
    net: integer('net_minor').$type<Minor>().notNull(),
    postage: integer('postage_minor').$type<Minor>().notNull(),
    unreckoned: integer('unreckoned').notNull(),
  },
  (t) => [primaryKey({ columns: [t.month, t.currency] })],
);

/** What all proof rounds have cost, by currency. */
export const proofCostNow = sqliteTable('proof_cost_now', {
  currency: text('currency').primaryKey(),
  rounds: integer('rounds').notNull(),
  cost: integer('cost_minor').$type<Minor>().notNull(),
});

export const sizeNow = sqliteTable(
  'size_now',
  {
    workId: integer('work_id').notNull(),
    sizeKey: text('size_key').notNull(),
    eventId: integer('event_id').notNull(),
    kind: text('kind').$type<'offered' | 'withdrawn'>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.workId, t.sizeKey] })],
);

export const priceNow = sqliteTable(
  'price_now',
  {
    workId: integer('work_id').notNull(),
    sizeKey: text('size_key').notNull(),
    priceId: integer('price_id').notNull(),
  },
  (t) => [primaryKey({ columns: [t.workId, t.sizeKey] })],
);

export const masterNow = sqliteTable('master_now', {
  workId: integer('work_id').primaryKey(),
  masterId: integer('master_id').notNull(),
});

export const stockNow = sqliteTable(
  'stock_now',
  {
    of: text('of').$type<StockOf>().notNull(),
    ref: integer('ref').notNull(),
    pieces: integer('pieces').notNull(),
  },
  (t) => [primaryKey({ columns: [t.of, t.ref] })],
);

/** Proof rounds that are still away. */
export const proofOut = sqliteTable('proof_out', {
  roundId: integer('round_id').primaryKey(),
});
