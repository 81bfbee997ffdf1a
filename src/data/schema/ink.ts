import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import { INK_STATS } from '@/core/ink';
import type { InkPapers, InkRole, PrinterTakes } from '@/core/ink';
import { at, currency, id, mm, money, versioned } from './columns';

/** A printer: one's own, or that of somebody behind a route. */
export const printers = sqliteTable('printer', {
  id: id(),
  name: text('name').notNull(),
  /** Name of the route that prints with it; empty: the own printer, where no route says who prints. */
  route: text('route').notNull(),
  /** The widest paper, and what it takes of it. */
  widest: mm('widest_mm').notNull(),
  takes: text('takes').$type<PrinterTakes>().notNull(),
  /** Inside diameters of the cores that its roll holder takes; null: not said. */
  coreFrom: mm('core_from_mm'),
  coreTo: mm('core_to_mm'),
  /** What cannot be printed on at each edge. */
  marginLeft: mm('margin_left_mm').notNull(),
  marginRight: mm('margin_right_mm').notNull(),
  marginTop: mm('margin_top_mm').notNull(),
  marginBottom: mm('margin_bottom_mm').notNull(),
  /** Who sells its inks, and how many days they take to come. */
  supplier: text('supplier').notNull(),
  deliveryDays: integer('delivery_days'),
  note: text('note').notNull(),
  createdAt: at('created_at'),
});

/** An ink of a printer, or its waste box. */
export const printerInks = sqliteTable(
  'printer_ink',
  {
    id: id(),
    printerId: integer('printer_id')
      .notNull()
      .references(() => printers.id),
    name: text('name').notNull(),
    role: text('role').$type<InkRole>().notNull(),
    papers: text('papers').$type<InkPapers>().notNull(),
    ml: real('ml').notNull(),
    price: money('price_minor').notNull(),
    currency: currency(),
  },
  (t) => [index('printer_ink_of').on(t.printerId, t.id)],
);

export type InkEventKind = 'changed' | 'gauge' | 'cleaned' | 'bought' | 'undone';

/**
 * What happened to an ink on a day: changed, read off the gauge, bought; a cleaning is of all inks
 * of its printer. `undone` takes an earlier one back.
 */
export const inkEvents = sqliteTable(
  'ink_event',
  {
    id: id(),
    printerId: integer('printer_id')
      .notNull()
      .references(() => printers.id),
    inkId: integer('ink_id').references(() => printerInks.id),
    kind: text('kind').$type<InkEventKind>().notNull(),
    /** The day on which it was; `at` is when it was noted. */
    day: text('day').notNull(),
    /** Of a change: ml of the new one, what was left in the old one, whether it filled the tubes. */
    ml: real('ml'),
    /** 0..1: of a change what was left, of the gauge what it said. */
    share: real('share'),
    firstFill: integer('first_fill', { mode: 'boolean' }).notNull().default(false),
    /** Of a cleaning how many usual ones it counts as; how many were bought. */
    times: real('times'),
    /** What one was bought for. */
    price: money('price_minor'),
    currency: currency(),
    undoes: integer('undoes'),
    note: text('note').notNull(),
    at: at(),
  },
  (t) => [
    index('ink_event_of').on(t.printerId, t.day, t.id),
    uniqueIndex('ink_event_undone_once').on(t.undoes),
  ],
);

/** What a picture takes of each colour when it is printed through a profile; estimated once. */
export const inkDemands = sqliteTable(
  'ink_demand',
  {
    id: id(),
    /** The file of the picture, and the profile that it is printed through; empty: none is known. */
    sha256: text('sha256').notNull(),
    profile: text('profile').notNull(),
    stats: versioned('stats', INK_STATS).notNull(),
    at: at(),
  },
  (t) => [uniqueIndex('ink_demand_once').on(t.sha256, t.profile)],
);
