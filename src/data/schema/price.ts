import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { PRICE_VALUES } from '@/core/price';
import { at, currency, id, money, versioned } from './columns';
import { workId } from './work';

/** Prices as they were kept; of a size of a work the newest counts. */
export const prices = sqliteTable(
  'price',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    channel: text('channel').notNull(),
    /** What it was reckoned from. */
    values: versioned('input', PRICE_VALUES).notNull(),
    currency: currency(),
    cost: money('cost_minor').notNull(),
    fees: money('fees_minor').notNull(),
    price: money('price_minor').notNull(),
    net: money('net_minor').notNull(),
    at: at(),
  },
  (t) => [index('price_of_size').on(t.workId, t.sizeKey, t.id)],
);
