import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ImpressionState, Series } from '@/core/edition';
import type { Minor } from '@/core/units';

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
    dueOn: text('due_on').notNull(),
    sealed: integer('sealed', { mode: 'boolean' }).notNull(),
    shippedAt: text('shipped_at'),
    postage: integer('postage_minor').$type<Minor>().notNull(),
  },
  (t) => [index('order_now_shipped').on(t.shippedAt, t.dueOn)],
);

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
    of: text('of').$type<'paper' | 'material'>().notNull(),
    ref: integer('ref').notNull(),
    pieces: integer('pieces').notNull(),
  },
  (t) => [primaryKey({ columns: [t.of, t.ref] })],
);

/** Proof rounds that are still away. */
export const proofOut = sqliteTable('proof_out', {
  roundId: integer('round_id').primaryKey(),
});
