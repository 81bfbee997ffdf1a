import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Brightened, Grain, LotKind, NotedStation, SignedWith } from '@/core/paper';
import type { GramsPerSquareMetre } from '@/core/units';
import { at, currency, id, mm, money } from './columns';
import { profiles } from './prepare';

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
    /** The day of that price; null: of before days were kept with it. */
    priceOn: text('price_on'),
    reorderPoint: integer('reorder_point').notNull(),
    printerSetting: text('printer_setting').notNull(),
    /** As it was noted before figure, source and display condition were told apart. */
    permanence: text('permanence').notNull(),
    /** How long it lasts, who says so, and how it is displayed: all three, or none. */
    permanenceYears: integer('permanence_years'),
    permanenceSource: text('permanence_source').notNull().default(''),
    permanenceDisplay: text('permanence_display').notNull().default(''),
    acidFree: integer('acid_free', { mode: 'boolean' }).notNull().default(false),
    /** Its surface is marked by a touch. */
    scuffs: integer('scuffs', { mode: 'boolean' }).notNull().default(false),
    /** The least inside diameter that it is rolled to; null: by its weight. */
    leastRoll: mm('least_roll_mm'),
    brightened: text('brightened').$type<Brightened>().notNull().default('not known'),
    grain: text('grain').$type<Grain>().notNull().default('not known'),
    signedWith: text('signed_with').$type<SignedWith>().notNull().default('not known'),
    supplier: text('supplier').notNull().default(''),
    /** Days from ordering to its delivery. */
    deliveryDays: integer('delivery_days'),
    note: text('note').notNull(),
    createdAt: at('created_at'),
    /** Since when its maker no longer makes it, and the paper that takes its place. */
    discontinuedAt: text('discontinued_at'),
    replacementId: integer('replacement_id'),
  },
  (t) => [index('paper_named').on(sql`lower(${t.name})`)],
);

/**
 * Through which profile a paper is printed by a printer with a media setting. Of one paper,
 * printer and setting the newest row counts; without a profile none is used any more.
 */
export const profileUses = sqliteTable(
  'profile_use',
  {
    id: id(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    /** Name of the route; empty: the own printer, where no route says who prints. */
    printer: text('printer').notNull(),
    /** The printer's media setting; a stand-in where the driver lacks the paper. */
    setting: text('setting').notNull(),
    /** The driver lacks the paper, and the setting stands in for it. */
    standIn: integer('stand_in', { mode: 'boolean' }).notNull().default(false),
    sha256: text('sha256').references(() => profiles.sha256),
    at: at(),
  },
  (t) => [
    index('profile_use_of').on(t.paperId, t.id),
    index('profile_use_profile').on(t.sha256),
  ],
);

/**
 * As what else than its usual sheet a paper is sold: sheets of another size, rolls. Of one kind and
 * size the newest day counts, and of one day the newest row.
 */
export const paperFormats = sqliteTable(
  'paper_format',
  {
    id: id(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    kind: text('kind').$type<LotKind>().notNull(),
    width: mm('width_mm').notNull(),
    /** Of a sheet its height, of a roll its length. */
    height: mm('height_mm').notNull(),
    /** What a roll is wound on: inside diameter; null where nobody said. */
    core: mm('core_mm'),
    /** Of one sheet, or of the whole roll. */
    price: money('price_minor').notNull(),
    currency: currency(),
    supplier: text('supplier').notNull(),
    /** False: it is no longer sold so. */
    sold: integer('sold', { mode: 'boolean' }).notNull(),
    /** The day of the price; `at` is when it was noted. */
    day: text('day').notNull(),
    at: at(),
  },
  (t) => [index('paper_format_of').on(t.paperId, t.day, t.id)],
);

/** What was heard of a paper, asked, tried: its life before it lies in stock, and what came of it. */
export const paperNotes = sqliteTable(
  'paper_note',
  {
    id: id(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    station: text('station').$type<NotedStation>().notNull(),
    /** What it was tried for, in words with commas between: watercolours, portraits. */
    triedFor: text('tried_for').notNull(),
    /** What was printed on it, and with which setting of the printer. */
    printed: text('printed').notNull(),
    setting: text('setting').notNull(),
    words: text('words').notNull(),
    /** A photographed swatch, by the hash of its stored file. */
    photograph: text('photograph'),
    /** The day on which it was; `at` is when it was noted. */
    day: text('day').notNull(),
    at: at(),
  },
  (t) => [index('paper_note_of').on(t.paperId, t.day, t.id)],
);
