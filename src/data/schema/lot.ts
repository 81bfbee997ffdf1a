import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { LotKind, LotUseKind } from '@/core/paper';
import { at, currency, id, mm, money } from './columns';
import { printEntries } from './log';
import { papers } from './paper';

/** A delivery of a paper: so many sheets of one size, or one roll. */
export const lots = sqliteTable(
  'lot',
  {
    id: id(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    kind: text('kind').$type<LotKind>().notNull(),
    /** How it is told from others: a batch number, a day. */
    name: text('name').notNull(),
    width: mm('width_mm').notNull(),
    /** Of a sheet its height, of a roll its length. */
    height: mm('height_mm').notNull(),
    /** What a roll is wound on: inside diameter; null where nobody said. */
    core: mm('core_mm'),
    /** Sheets; of a roll 1. */
    pieces: integer('pieces').notNull(),
    /** Of one sheet, or of the whole roll. */
    price: money('price_minor').notNull(),
    currency: currency(),
    supplier: text('supplier').notNull(),
    /** A part of a sheet of another lot that was left over. */
    leftOver: integer('left_over', { mode: 'boolean' }).notNull().default(false),
    /** The printed sheet that it was left over from. */
    printedSheetId: integer('printed_sheet_id'),
    at: at(),
  },
  (t) => [index('lot_of').on(t.paperId, t.id)],
);

/** What went out of a lot, or came back into it (negative): sheets and parts of them, mm of a roll. */
export const lotUses = sqliteTable(
  'lot_use',
  {
    id: id(),
    lotId: integer('lot_id')
      .notNull()
      .references(() => lots.id),
    amount: real('amount').notNull(),
    kind: text('kind').$type<LotUseKind>().notNull(),
    /** The print that took it, in the log book. */
    entryId: integer('entry_id').references(() => printEntries.id),
    /** The sheet with several prints on it that took it. */
    printedSheetId: integer('printed_sheet_id'),
    /** The use that is taken back. */
    undoes: integer('undoes'),
    reason: text('reason').notNull(),
    cost: money('cost_minor').notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [
    index('lot_use_of').on(t.lotId, t.id),
    index('lot_use_entry').on(t.entryId),
    index('lot_use_sheet').on(t.printedSheetId),
    uniqueIndex('lot_use_undone_once').on(t.undoes),
  ],
);
