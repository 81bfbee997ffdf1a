import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { WorkKind } from '@/core/work';
import { at, currency, id, mm, money } from './columns';

export const works = sqliteTable(
  'work',
  {
    id: id(),
    title: text('title').notNull(),
    artist: text('artist').notNull(),
    year: integer('year').notNull(),
    kind: text('kind').$type<WorkKind>().notNull(),
    medium: text('medium').notNull(),
    width: mm('width_mm').notNull(),
    height: mm('height_mm').notNull(),
    price: money('price_minor').notNull(),
    currency: currency(),
    createdAt: at('created_at'),
  },
  (t) => [index('work_title').on(t.title)],
);

/** The work a row is about. */
export const workId = () =>
  integer('work_id')
    .notNull()
    .references(() => works.id);
