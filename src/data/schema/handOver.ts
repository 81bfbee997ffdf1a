import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { HandOverManifest, RouteKindId, RouteWants } from '@/core/prepare';
import { at, currency, id, money } from './columns';
import { papers } from './paper';
import { printFiles } from './prepare';

/** Who prints, and what they ask for; of one name the newest row counts. */
export const routes = sqliteTable(
  'route',
  {
    id: id(),
    name: text('name').notNull(),
    /** Null for routes of before kinds were told apart. */
    kind: text('kind').$type<RouteKindId>(),
    /** Where files are put for it; empty: a folder of its own beside the data. */
    folder: text('folder').notNull(),
    wants: text('wants', { mode: 'json' }).$type<RouteWants>().notNull(),
    /** The inks that are printed with there; empty: not said. */
    inkSet: text('ink_set').notNull().default(''),
    at: at(),
  },
  (t) => [index('route_named').on(t.name)],
);

/** Files that were handed over together, of one work or of several. */
export const errands = sqliteTable('errand', {
  id: id(),
  number: text('number').notNull().unique(),
  routeId: integer('route_id')
    .notNull()
    .references(() => routes.id),
  folder: text('folder').notNull(),
  manifest: text('manifest', { mode: 'json' }).$type<HandOverManifest>().notNull(),
  at: at(),
});

export const errandItems = sqliteTable(
  'errand_item',
  {
    id: id(),
    errandId: integer('errand_id')
      .notNull()
      .references(() => errands.id),
    printFileId: integer('print_file_id')
      .notNull()
      .references(() => printFiles.id),
    paperId: integer('paper_id').references(() => papers.id),
    quantity: integer('quantity').notNull(),
  },
  (t) => [
    index('errand_item_of').on(t.errandId),
    index('errand_item_file').on(t.printFileId),
  ],
);

/** What came back of it: the newest answer counts. */
export const errandAnswers = sqliteTable(
  'errand_answer',
  {
    id: id(),
    errandId: integer('errand_id')
      .notNull()
      .references(() => errands.id),
    answer: text('answer', { mode: 'json' }).$type<unknown>().notNull(),
    at: at(),
  },
  (t) => [index('errand_answer_of').on(t.errandId)],
);

/** What came of an errand: when, for how much, how much of it was faulty. The newest counts. */
export const errandArrivals = sqliteTable(
  'errand_arrival',
  {
    id: id(),
    errandId: integer('errand_id')
      .notNull()
      .references(() => errands.id),
    onDay: text('on_day').notNull(),
    /** Paid for all of it. */
    cost: money('cost_minor').notNull(),
    currency: currency(),
    /** Prints that were not as they should be. */
    faulty: integer('faulty').notNull(),
    note: text('note').notNull(),
    at: at(),
  },
  (t) => [index('errand_arrival_of').on(t.errandId)],
);
