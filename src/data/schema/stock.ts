import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { at, id } from './columns';

/** What is counted in pieces: sheets of paper, packing material. */
export type StockOf = 'paper' | 'material';

/** Received (positive) and used (negative) sheets or pieces. */
export const movements = sqliteTable(
  'movement',
  {
    id: id(),
    of: text('of').$type<StockOf>().notNull(),
    ref: integer('ref').notNull(),
    pieces: integer('pieces').notNull(),
    reason: text('reason').notNull(),
    at: at(),
  },
  (t) => [index('movement_of').on(t.of, t.ref)],
);
