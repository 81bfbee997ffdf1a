import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import type { LineKind } from '@/core/order';
import type { Extra } from '@/core/pack';
import type { Grams } from '@/core/units';
import { at, currency, id, mm, money } from './columns';
import { editions } from './edition';
import { papers } from './paper';
import { works } from './work';

/** Who orders; one row each, found again by its key. */
export const customers = sqliteTable(
  'customer',
  {
    id: id(),
    /** Name and address as they are compared; null once merged into another. */
    key: text('key').unique(),
    name: text('name').notNull(),
    street: text('street').notNull(),
    town: text('town').notNull(),
    country: text('country').notNull(),
    /** The customer that this one was found to be. */
    mergedInto: integer('merged_into'),
  },
  (t) => [
    index('customer_name').on(t.name),
    /** The order in which customers are listed. */
    index('customer_listed').on(sql`lower(name)`, t.id),
    index('customer_merged').on(t.mergedInto),
  ],
);

export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    number: text('number').notNull().unique(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    channel: text('channel').notNull(),
    /** What the customer wishes, and what the packer is told, as it was when it came in. */
    wish: text('wish').notNull(),
    note: text('note').notNull(),
    extras: text('extras', { mode: 'json' }).$type<Extra[]>().notNull(),
    placedAt: at('placed_at'),
    dueOn: at('due_on'),
  },
  (t) => [
    index('order_due').on(t.dueOn),
    index('order_placed').on(t.placedAt),
    index('order_customer').on(t.customerId),
  ],
);

/** One thing that was ordered. Which columns are filled depends on the kind. */
export const orderLines = sqliteTable(
  'order_line',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    kind: text('kind').$type<LineKind>().notNull(),
    workId: integer('work_id').references(() => works.id),
    sizeKey: text('size_key'),
    paperId: integer('paper_id').references(() => papers.id),
    editionId: integer('edition_id').references(() => editions.id),
    series: text('series').$type<Series>(),
    impression: integer('impression'),
    /** Of goods: name, mass and thickness of one of them. */
    name: text('name'),
    mass: real('mass_g').$type<Grams>(),
    thickness: mm('thickness_mm'),
    quantity: integer('quantity').notNull(),
    /** Of the whole line. */
    price: money('price_minor').notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [
    index('order_line_of').on(t.orderId),
    index('order_line_work').on(t.workId, t.id),
    index('order_line_price').on(t.price),
  ],
);

export type OrderEventKind =
  /** A part of a parcel counted, or its count taken back. */
  | 'tick'
  | 'weighed'
  /** A parcel opened again before it left. */
  | 'opened'
  | 'shipped'
  /** A line laid into a parcel. */
  | 'laid'
  | 'removed'
  | 'repriced'
  | 'addressed'
  | 'noted'
  | 'cancelled'
  | 'returned';

/** What happened to an order, one of its lines or one of its parcels. */
export const orderEvents = sqliteTable(
  'order_event',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    lineId: integer('line_id').references(() => orderLines.id),
    parcelId: integer('parcel_id'),
    kind: text('kind').$type<OrderEventKind>().notNull(),
    payload: text('payload', { mode: 'json' })
      .$type<Record<string, string | number | boolean>>()
      .notNull(),
    at: at(),
  },
  (t) => [index('order_event_of').on(t.orderId)],
);

/** What a line left, written down when its parcel was sealed; null: not reckoned. */
export const lineSales = sqliteTable(
  'line_sale',
  {
    id: id(),
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id),
    cost: money('cost_minor'),
    fees: money('fees_minor'),
    /** The line's share of what the carrier asked. */
    postage: money('postage_minor').notNull(),
    /** Whether the fees are of a price kept for the channel, or its usual ones. */
    basis: text('basis').$type<'kept' | 'usual' | 'unknown'>().notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [index('line_sale_of').on(t.lineId)],
);
