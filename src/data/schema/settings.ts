import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

export const settings = sqliteTable('setting', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).notNull(),
});
