import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { RouteKindId } from '@/core/prepare';
import { PRICE_LIST } from '@/core/price';
import { at, currency, id, versioned } from './columns';

/** What a route asks, as it was noted; of one name the newest counts, the others stay. */
export const priceLists = sqliteTable(
  'price_list',
  {
    id: id(),
    /** The route's name, as prints are handed over to it. */
    name: text('name').notNull(),
    kind: text('kind').$type<RouteKindId>().notNull(),
    values: versioned('list', PRICE_LIST).notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [index('price_list_named').on(t.name, t.id)],
);
