import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ExpenseKind } from '@/core/price';
import { at, currency, id, money } from './columns';
import { works } from './work';

/**
 * What was paid that is of no single sale: a month of a channel, a day at a fair, what went wrong
 * with a job. One that was noted wrongly is taken back by a row of its own.
 */
export const expenses = sqliteTable(
  'expense',
  {
    id: id(),
    kind: text('kind').$type<ExpenseKind>().notNull(),
    /** Through which is sold; '' of what went wrong with a job. */
    channel: text('channel').notNull(),
    workId: integer('work_id').references(() => works.id),
    sizeKey: text('size_key'),
    /** The day that it was of. */
    onDay: text('on_day').notNull(),
    amount: money('amount_minor').notNull(),
    currency: currency(),
    note: text('note').notNull(),
    /** The row that this one takes back. */
    takesBack: integer('takes_back').unique(),
    at: at(),
  },
  (t) => [index('expense_of_work').on(t.workId, t.id)],
);
