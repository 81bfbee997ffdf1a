import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
} from 'drizzle-orm/sqlite-core';
import type { Series } from '@/core/edition';
import { RECIPE } from '@/core/prepare';
import { masters } from './capture';
import { at, currency, id, money, versioned } from './columns';
import { workId, works } from './work';

export type EntryKind =
  | 'printFile'
  | 'proofSheet'
  | 'settingsSheet'
  | 'gangSheet'
  | 'proofRound'
  | 'impression'
  | 'print';

/** What was made for or on paper, as it was then; written by itself with the fact. */
export const printEntries = sqliteTable(
  'print_entry',
  {
    id: id(),
    kind: text('kind').$type<EntryKind>().notNull(),
    /** The row it is about: print file, sheet, proof round; of an impression its ledger entry, of a print its printed sheet. */
    ref: integer('ref').notNull(),
    /** The file, the sheet, the round or the number, in a few words. */
    what: text('what').notNull(),
    /** The one work it is about; null where there are several. */
    workId: integer('work_id').references(() => works.id),
    masterId: integer('master_id').references(() => masters.id),
    sizeKey: text('size_key'),
    recipe: versioned('recipe', RECIPE),
    recipeName: text('recipe_name').notNull(),
    /** Linear enlargement; null where the file is not known. */
    factor: real('factor'),
    /** What the master came from, and how much of its pixels is real. */
    source: text('source'),
    detail: real('detail'),
    paperId: integer('paper_id'),
    paper: text('paper').notNull(),
    base: text('base'),
    surface: text('surface'),
    route: text('route').notNull(),
    /** The printer's setting that the paper is printed with. */
    setting: text('setting').notNull(),
    cost: money('cost_minor'),
    currency: currency(),
    at: at(),
  },
  (t) => [
    index('print_entry_ref').on(t.kind, t.ref),
    index('print_entry_when').on(t.at, t.id),
  ],
);

/** Every work that an entry is about. */
export const entryItems = sqliteTable(
  'entry_item',
  {
    entryId: integer('entry_id')
      .notNull()
      .references(() => printEntries.id),
    workId: workId(),
  },
  (t) => [
    primaryKey({ columns: [t.entryId, t.workId] }),
    index('entry_item_work').on(t.workId, t.entryId),
  ],
);

/** What was thought of a print later; what is not said (null) leaves an earlier word standing. */
export const printOpinions = sqliteTable(
  'print_opinion',
  {
    id: id(),
    entryId: integer('entry_id')
      .notNull()
      .references(() => printEntries.id),
    sharpness: integer('sharpness'),
    grain: integer('grain'),
    halos: integer('halos'),
    tone: integer('tone'),
    colour: integer('colour'),
    remarks: text('remarks').notNull(),
    /** A photograph of it, by the hash of its stored file; null for none. */
    photograph: text('photograph'),
    at: at(),
  },
  (t) => [index('print_opinion_of').on(t.entryId)],
);

/** The log book: one line for every write, in order. */
export const logLines = sqliteTable(
  'log_line',
  {
    id: id(),
    at: at(),
    what: text('what').notNull(),
    workId: integer('work_id'),
    sizeKey: text('size_key'),
    editionId: integer('edition_id'),
    series: text('series').$type<Series>(),
    impression: integer('impression'),
    orderId: integer('order_id'),
    detail: text('detail', { mode: 'json' })
      .$type<Record<string, string | number | null>>()
      .notNull(),
  },
  (t) => [
    index('log_in_order').on(t.at, t.id),
    index('log_of_work').on(t.workId, t.at, t.id),
    index('log_of_impression').on(t.editionId, t.series, t.impression),
    index('log_of_order').on(t.orderId, t.id),
    index('log_what').on(t.what, t.id),
  ],
);
