import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { FINISH_VALUES } from '@/core/finish';
import { at, id, versioned } from './columns';
import { workId } from './work';

/** Mats and frames as they were kept; of a size of a work the newest counts. */
export const finishes = sqliteTable(
  'finish',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    values: versioned('input', FINISH_VALUES).notNull(),
    at: at(),
  },
  (t) => [index('finish_of_work').on(t.workId)],
);
