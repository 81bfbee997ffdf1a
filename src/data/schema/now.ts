import { sql } from 'drizzle-orm';
import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
} from 'drizzle-orm/sqlite-core';
import type { ImpressionState, Series } from '@/core/edition';
import type { LineState, OrderState } from '@/core/order';
import type { LotKind } from '@/core/paper';
import type { Minor } from '@/core/units';
import type { StockOf } from './stock';

/*
 * How things stand now. These tables are no facts: triggers derive them from the facts above
 * at every insert, so that lists can be sorted, filtered and paged without reading all of
 * history. They can be made anew from the facts at any time.
 */

export const editionNow = sqliteTable(
  'edition_now',
  {
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
  },
  (t) => [
    /** By the share that is left to give. */
    index('edition_now_left')
      .on(sql`(size - "out") * 1.0 / size`, t.editionId)
      .where(sql`kind = 'limited'`),
  ],
);

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

const sums = {
  sold: integer('sold').notNull(),
  gross: integer('gross_minor').$type<Minor>().notNull(),
  net: integer('net_minor').$type<Minor>().notNull(),
  postage: integer('postage_minor').$type<Minor>().notNull(),
  /** Pieces without reckoned cost or fees. */
  unreckoned: integer('unreckoned').notNull(),
};

/** What a line that left brought, as it stands; the sums below follow it. */
export const soldLine = sqliteTable('sold_line', {
  lineId: integer('line_id').primaryKey(),
  /** 0 for goods; these have a name instead. */
  workId: integer('work_id').notNull(),
  what: text('what').notNull(),
  sizeKey: text('size_key').notNull(),
  channel: text('channel').notNull(),
  currency: text('currency').notNull(),
  month: text('month').notNull(),
  ...sums,
  usualFees: integer('usual_fees').notNull(),
});

/** What was sold of a work (0: of goods) at a size through a channel, summed up. */
export const saleNow = sqliteTable(
  'sale_now',
  {
    workId: integer('work_id').notNull(),
    what: text('what').notNull(),
    sizeKey: text('size_key').notNull(),
    channel: text('channel').notNull(),
    currency: text('currency').notNull(),
    ...sums,
    /** Pieces with a channel's usual fees. */
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
    ...sums,
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

/** What is left of a lot: sheets and parts of them, mm of a roll. */
export const lotNow = sqliteTable(
  'lot_now',
  {
    lotId: integer('lot_id').primaryKey(),
    paperId: integer('paper_id').notNull(),
    kind: text('kind').$type<LotKind>().notNull(),
    left: real('left').notNull(),
  },
  (t) => [index('lot_now_of').on(t.paperId)],
);

/** Proof rounds that are still away. */
export const proofOut = sqliteTable('proof_out', {
  roundId: integer('round_id').primaryKey(),
});

/** How many there are of what lists count. */
export const tally = sqliteTable('tally', {
  what: text('what').primaryKey(),
  n: integer('n').notNull(),
});

/** Works that have no master, no size on offer though they have one, or a master about whose space nothing is known. */
export const workLack = sqliteTable(
  'work_lack',
  {
    what: text('what').$type<'master' | 'sizes' | 'profile'>().notNull(),
    workId: integer('work_id').notNull(),
  },
  (t) => [primaryKey({ columns: [t.what, t.workId] }), index('work_lack_of').on(t.workId)],
);

/** Sizes on offer whose prints belong to no limited edition. */
export const openSize = sqliteTable(
  'open_size',
  {
    workId: integer('work_id').notNull(),
    sizeKey: text('size_key').notNull(),
    eventId: integer('event_id').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.workId, t.sizeKey] }),
    index('open_size_event').on(t.eventId),
  ],
);

/** What the list of works is sorted by: pixels of the master's file, sizes on offer, prints sold. */
export const workNow = sqliteTable(
  'work_now',
  {
    workId: integer('work_id').primaryKey(),
    pixels: integer('pixels'),
    sizes: integer('sizes').notNull(),
    sold: integer('sold').notNull(),
  },
  (t) => [
    index('work_now_pixels').on(t.pixels),
    index('work_now_sizes').on(t.sizes),
    index('work_now_sold').on(t.sold),
  ],
);

/** Orders of a customer, and of those merged into it, and when the last was placed. */
export const customerNow = sqliteTable(
  'customer_now',
  {
    customerId: integer('customer_id').primaryKey(),
    orders: integer('orders').notNull(),
    lastAt: text('last_at'),
  },
  (t) => [
    index('customer_now_orders').on(t.orders),
    index('customer_now_last').on(t.lastAt),
  ],
);
