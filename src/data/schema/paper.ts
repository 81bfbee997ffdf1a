import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { GramsPerSquareMetre } from '@/core/units';
import { at, currency, id, mm, money } from './columns';

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
    currency: currency(),
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
