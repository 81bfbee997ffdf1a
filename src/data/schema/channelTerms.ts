import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { CHANNEL_TERMS } from '@/core/price';
import { at, currency, id, versioned } from './columns';

/** What a channel of sale asks, as it was kept; of one channel the newest counts, the others stay. */
export const channelTerms = sqliteTable(
  'channel_terms',
  {
    id: id(),
    channel: text('channel').notNull(),
    terms: versioned('terms', CHANNEL_TERMS).notNull(),
    currency: currency(),
    at: at(),
  },
  (t) => [index('channel_terms_of').on(t.channel, t.id)],
);
