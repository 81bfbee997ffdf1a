import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { LedgerKind, Series } from '@/core/edition';
import { at, id } from './columns';
import { workId } from './work';

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
