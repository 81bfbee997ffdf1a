import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { LAYOUT } from '@/core/size';
import type { CropChoice, CropRect, JudgedThen } from '@/core/size';
import { at, id, versioned } from './columns';
import { workId } from './work';

/** Sizes put on offer and withdrawn; the last word on a size of a work counts. */
export const sizeEvents = sqliteTable(
  'size_event',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    kind: text('kind').$type<'offered' | 'withdrawn'>().notNull(),
    layout: versioned('layout', LAYOUT).notNull(),
    /** What was judged of it then; null where nothing could be judged. */
    judged: text('judged', { mode: 'json' }).$type<JudgedThen>(),
    reason: text('reason'),
    at: at(),
  },
  (t) => [index('size_event_of_work').on(t.workId)],
);

/** A crop chosen for a ratio of a work; the newest row of a ratio counts. */
export const cropChoices = sqliteTable(
  'crop_choice',
  {
    id: id(),
    workId: workId(),
    ratio: text('ratio').notNull(),
    /** Null: none is chosen any more. */
    choice: text('choice', { mode: 'json' }).$type<CropChoice>(),
    /** Proportion (width / height) of the picture it was chosen on. */
    picture: real('picture').notNull(),
    at: at(),
  },
  (t) => [index('crop_choice_of_work').on(t.workId, t.ratio)],
);

/** The part of a picture that no crop may lose; the newest row of a work counts. */
export const keptAreas = sqliteTable(
  'kept_area',
  {
    id: id(),
    workId: workId(),
    /** Null: nothing is kept in any more. */
    area: text('area', { mode: 'json' }).$type<CropRect>(),
    at: at(),
  },
  (t) => [index('kept_area_of_work').on(t.workId)],
);
