import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import { id, money, at } from './columns';
import { papers } from './papers';
import { editions } from './editions';
import { workId } from './works';

export const customers = sqliteTable(
  'customer',
  {
    id: id(),
    name: text('name').notNull(),
    street: text('street').notNull(),
    town: text('town').notNull(),
    country: text('country').notNull(),
  },
  (t) => [index('customer_name').on(t.name)],
);

export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    number: text('number').notNull().unique(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    editionId: integer('edition_id')
      .notNull()
      .references(() => editions.id),
    series: text('series').$type<Series>().notNull(),
    impression: integer('impression').notNull(),
    channel: text('channel').notNull(),
    price: money('price_minor').notNull(),
    placedAt: at('placed_at'),
    dueOn: text('due_on').notNull(),
  },
  (t) => [
    index('order_of_work').on(t.workId),
    index('order_due').on(t.dueOn),
    index('order_price').on(t.price),
    index('order_placed').on(t.placedAt),
    index('order_customer').on(t.customerId),
  ],
);

export type OrderEventKind = 'tick' | 'weighed' | 'labelled' | 'shipped';

export const orderEvents = sqliteTable(
  'order_event',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    kind: text('kind').$type<OrderEventKind>().notNull(),
    payload: text('payload', { mode: 'json' })
      .$type<Record<string, string | number | boolean>>()
      .notNull(),
    at: at(),
  },
  (t) => [index('order_event_of').on(t.orderId)],
);

export type DocumentKind = 'certificate' | 'packing slip' | 'label';

export const documents = sqliteTable('document', {
  id: id(),
  orderId: integer('order_id')
    .notNull()
    .references(() => orders.id),
  kind: text('kind').$type<DocumentKind>().notNull(),
  name: text('name').notNull(),
  sha256: text('sha256').notNull(),
  at: at(),
});
