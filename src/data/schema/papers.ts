import { sql } from 'drizzle-orm';
import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { ProofVerdict } from '@/core/proof';
import type { Grams, GramsPerSquareMetre } from '@/core/units';
import { id, mm, money, at } from './columns';
import { printFiles, workId } from './works';

export const papers = sqliteTable(
  'paper',
  {
    id: id(),
    name: text('name').notNull(),
    maker: text('maker').notNull(),
    base: text('base').notNull(),
    surface: text('surface').notNull(),
    weight: real('weight_gsm').$type<GramsPerSquareMetre>().notNull(),
    thickness: mm('thickness_mm').notNull(),
    sheetWidth: mm('sheet_width_mm').notNull(),
    sheetHeight: mm('sheet_height_mm').notNull(),
    price: money('price_minor').notNull(),
    reorderPoint: integer('reorder_point').notNull(),
    printerSetting: text('printer_setting').notNull(),
    /** Never a bare number of years: figure, source and display condition in one line. */
    permanence: text('permanence').notNull(),
    note: text('note').notNull(),
    createdAt: at('created_at'),
    /** Since when its maker no longer makes it, and the paper that takes its place. */
    discontinuedAt: text('discontinued_at'),
    replacementId: integer('replacement_id'),
  },
  (t) => [index('paper_named').on(sql`lower(${t.name})`)],
);

/** Packing material; sizes inside. A tube has its diameter in `width` and its length in `height`. */
export const materials = sqliteTable('material', {
  id: id(),
  kind: text('kind').$type<'sleeve' | 'board' | 'mailer' | 'tube'>().notNull(),
  name: text('name').notNull(),
  width: mm('width_mm').notNull(),
  height: mm('height_mm').notNull(),
  thickness: mm('thickness_mm').notNull(),
  mass: real('mass_g').$type<Grams>().notNull(),
  cost: money('cost_minor').notNull(),
});

/** Received (positive) and used (negative) sheets or pieces. */
export const movements = sqliteTable(
  'movement',
  {
    id: id(),
    of: text('of').$type<'paper' | 'material'>().notNull(),
    ref: integer('ref').notNull(),
    pieces: integer('pieces').notNull(),
    reason: text('reason').notNull(),
    at: at(),
  },
  (t) => [index('movement_of').on(t.of, t.ref)],
);

export const proofRounds = sqliteTable(
  'proof_round',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    round: integer('round').notNull(),
    route: text('route').notNull(),
    printFileId: integer('print_file_id').references(() => printFiles.id),
    cost: money('cost_minor').notNull(),
    remarks: text('remarks').notNull(),
    sentAt: at('sent_at'),
  },
  (t) => [uniqueIndex('proof_round_once').on(t.workId, t.sizeKey, t.paperId, t.round)],
);

/** What was seen when a round came back; one per round. */
export const proofReturns = sqliteTable('proof_return', {
  roundId: integer('round_id')
    .primaryKey()
    .references(() => proofRounds.id),
  seen: text('seen').notNull(),
  toChange: text('to_change').notNull(),
  verdict: text('verdict').$type<ProofVerdict>().notNull(),
  backAt: at('back_at'),
});
