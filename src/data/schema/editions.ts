import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { LedgerKind, Series } from '@/core/edition';
import { id, money, at } from './columns';
import { workId } from './works';

export const editions = sqliteTable(
  'edition',
  {
    id: id(),
    workId: workId(),
    /** The size it is of, or `all` for one edition over all sizes. */
    sizeKey: text('size_key').notNull(),
    createdAt: at('created_at'),
  },
  (t) => [uniqueIndex('edition_once').on(t.workId, t.sizeKey)],
);

/** Append-only: triggers refuse UPDATE and DELETE. Declarations carry theirs in `payload`. */
export const ledger = sqliteTable(
  'ledger',
  {
    seq: integer('seq').primaryKey(),
    editionId: integer('edition_id')
      .notNull()
      .references(() => editions.id),
    kind: text('kind').$type<LedgerKind>().notNull(),
    series: text('series').$type<Series>(),
    number: integer('number'),
    at: at(),
    payload: text('payload', { mode: 'json' })
      .$type<Record<string, string | number>>()
      .notNull(),
    previousHash: text('previous_hash').notNull().unique(),
    hash: text('hash').notNull().unique(),
  },
  (t) => [index('ledger_of_edition').on(t.editionId, t.seq)],
);

export const prices = sqliteTable(
  'price',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    channel: text('channel').notNull(),
    input: text('input', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    cost: money('cost_minor').notNull(),
    fees: money('fees_minor').notNull(),
    price: money('price_minor').notNull(),
    net: money('net_minor').notNull(),
    at: at(),
  },
  (t) => [index('price_of_size').on(t.workId, t.sizeKey, t.id)],
);

export const finishes = sqliteTable(
  'finish',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    input: text('input', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    at: at(),
  },
  (t) => [index('finish_of_work').on(t.workId)],
);
