import { index, sqliteTable } from 'drizzle-orm/sqlite-core';
import { PRICE_LADDER } from '@/core/price';
import { at, currency, id, versioned } from './columns';
import { workId } from './work';

/** How the prices of a work were made all at once; of one work the newest counts, the others stay. */
export const priceLadders = sqliteTable(
  'price_ladder',
  {
    id: id(),
    workId: workId(),
    terms: versioned('terms', PRICE_LADDER).notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [index('price_ladder_of').on(t.workId, t.id)],
);
