import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Recipe } from '@/core/prepare';
import { at, id, money } from './columns';
import { masters, workId } from './works';

export type EntryKind =
  'printFile' | 'proofSheet' | 'settingsSheet' | 'proofRound' | 'impression';

/** What was made for or on paper, as it was then; written by itself with the fact. */
export const printEntries = sqliteTable(
  'print_entry',
  {
    id: id(),
    kind: text('kind').$type<EntryKind>().notNull(),
    /** The row it is about: print file, sheet, proof round; of an impression its ledger entry. */
    ref: integer('ref').notNull(),
    /** The file, the sheet, the round or the number, in a few words. */
    what: text('what').notNull(),
    workId: workId(),
    masterId: integer('master_id').references(() => masters.id),
    sizeKey: text('size_key'),
    recipe: text('recipe', { mode: 'json' }).$type<Recipe>(),
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
    at: at(),
  },
  (t) => [
    index('print_entry_of_work').on(t.workId, t.id),
    index('print_entry_ref').on(t.kind, t.ref),
    index('print_entry_when').on(t.at, t.id),
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
