import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import { CHANNEL_TERMS } from '@/core/price';
import { at, currency, id, money, versioned } from './columns';
import { editions } from './edition';
import { orderLines } from './order';

/** Prints that were lent out to be sold: to whom, on what terms, until when. */
export const consignments = sqliteTable('consignment', {
  id: id(),
  number: text('number').notNull().unique(),
  channel: text('channel').notNull(),
  name: text('name').notNull(),
  street: text('street').notNull(),
  town: text('town').notNull(),
  country: text('country').notNull(),
  /** What they ask of a sale, agreed on that day. */
  terms: versioned('terms', CHANNEL_TERMS).notNull(),
  currency: currency(),
  outOn: text('out_on').notNull(),
  /** The day on which what is not sold is fetched back. */
  fetchOn: text('fetch_on').notNull(),
  note: text('note').notNull(),
  at: at(),
});

/** One numbered print of a consignment. */
export const consignedPrints = sqliteTable(
  'consigned_print',
  {
    id: id(),
    consignmentId: integer('consignment_id')
      .notNull()
      .references(() => consignments.id),
    editionId: integer('edition_id')
      .notNull()
      .references(() => editions.id),
    series: text('series').$type<Series>().notNull(),
    impression: integer('impression').notNull(),
    /** Asked there, and what it had cost to make; null: not known. */
    price: money('price_minor').notNull(),
    cost: money('cost_minor'),
    at: at(),
  },
  (t) => [
    index('consigned_print_of').on(t.consignmentId),
    index('consigned_print_number').on(t.editionId, t.series, t.impression),
  ],
);

/** What became of it: sold there, with the line of its order, or fetched back. */
export const consignedEnds = sqliteTable('consigned_end', {
  id: id(),
  consignedId: integer('consigned_id')
    .notNull()
    .unique()
    .references(() => consignedPrints.id),
  kind: text('kind').$type<'sold' | 'fetched'>().notNull(),
  lineId: integer('line_id').references(() => orderLines.id),
  at: at(),
});
