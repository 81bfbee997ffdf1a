import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import { SHEET_PLAN } from '@/core/cut';
import type { CutSheetPlan, PiecePurpose, PlannedPiece } from '@/core/cut';
import { at, currency, id, money, versioned } from './columns';
import { errands } from './handOver';
import { printEntries } from './log';
import { lots } from './lot';
import { orderLines } from './order';
import { papers } from './paper';
import { printFiles, sheetFiles } from './prepare';
import { works } from './work';

/** Sheets to be cut of one paper. */
export const sheetPlans = sqliteTable(
  'sheet_plan',
  {
    id: id(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    at: at(),
  },
  (t) => [index('sheet_plan_of').on(t.paperId, t.id)],
);

const planId = () =>
  integer('plan_id')
    .notNull()
    .references(() => sheetPlans.id);

/** How a plan was changed: the newest of a plan counts. */
export const sheetPlanStates = sqliteTable(
  'sheet_plan_state',
  {
    id: id(),
    planId: planId(),
    state: versioned('state', SHEET_PLAN).notNull(),
    at: at(),
  },
  (t) => [index('sheet_plan_state_of').on(t.planId, t.id)],
);

/** A sheet that was printed, as it lay then; spoiled: its paper is used, and nothing came of it. */
export const printedSheets = sqliteTable(
  'printed_sheet',
  {
    id: id(),
    planId: planId(),
    lotId: integer('lot_id')
      .notNull()
      .references(() => lots.id),
    layout: text('layout', { mode: 'json' }).$type<CutSheetPlan>().notNull(),
    /** The pieces that lay on it, as they were wanted. */
    pieces: text('pieces', { mode: 'json' }).$type<PlannedPiece[]>().notNull(),
    spoiled: integer('spoiled', { mode: 'boolean' }).notNull(),
    reason: text('reason').notNull(),
    at: at(),
  },
  (t) => [index('printed_sheet_of').on(t.planId, t.id)],
);

/** One print on a printed sheet. */
export const printedPieces = sqliteTable(
  'printed_piece',
  {
    id: id(),
    printedSheetId: integer('printed_sheet_id')
      .notNull()
      .references(() => printedSheets.id),
    purpose: text('purpose').$type<PiecePurpose>().notNull(),
    workId: integer('work_id').references(() => works.id),
    sizeKey: text('size_key'),
    printFileId: integer('print_file_id').references(() => printFiles.id),
    sheetId: integer('sheet_id').references(() => sheetFiles.id),
    lineId: integer('line_id').references(() => orderLines.id),
    what: text('what').notNull(),
    /** Its entry of the log book; an impression has one once it is numbered. */
    entryId: integer('entry_id').references(() => printEntries.id),
    /** Its part of the sheet, 0..1, and what that cost. */
    share: real('share').notNull(),
    cost: money('cost_minor').notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [
    index('printed_piece_of').on(t.printedSheetId),
    index('printed_piece_work').on(t.workId, t.sizeKey),
    index('printed_piece_line').on(t.lineId),
    index('printed_piece_entry').on(t.entryId),
  ],
);

/** What became of a printed piece: it got its number (an entry of the ledger), or it was spoiled before. */
export const pieceFates = sqliteTable(
  'piece_fate',
  {
    id: id(),
    pieceId: integer('piece_id')
      .notNull()
      .references(() => printedPieces.id),
    kind: text('kind').$type<'numbered' | 'spoiled'>().notNull(),
    /** The entry of the ledger that gave it its number. */
    seq: integer('seq'),
    reason: text('reason').notNull(),
    at: at(),
  },
  (t) => [uniqueIndex('piece_fate_once').on(t.pieceId), index('piece_fate_seq').on(t.seq)],
);

/** A sheet that was noted as printed, and was not: its paper is back. */
export const sheetsUndone = sqliteTable('sheet_undone', {
  printedSheetId: integer('printed_sheet_id')
    .primaryKey()
    .references(() => printedSheets.id),
  reason: text('reason').notNull(),
  at: at(),
});

/** Files of whole sheets that were handed over. */
export const errandSheets = sqliteTable(
  'errand_sheet',
  {
    id: id(),
    errandId: integer('errand_id')
      .notNull()
      .references(() => errands.id),
    sheetId: integer('sheet_id')
      .notNull()
      .references(() => sheetFiles.id),
    paperId: integer('paper_id').references(() => papers.id),
    quantity: integer('quantity').notNull(),
  },
  (t) => [
    index('errand_sheet_of').on(t.errandId),
    index('errand_sheet_file').on(t.sheetId),
  ],
);
