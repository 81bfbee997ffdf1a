import { and, desc, eq, lte, sql } from 'drizzle-orm';
import type { KeptTerms } from '@/core/price';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { channelTerms } from '../schema';

export type ChannelTermsRow = typeof channelTerms.$inferSelect;

/** Keeps what a channel asks from now on; what it asked before stays. */
export async function addChannelTerms(
  tx: Writing,
  row: Omit<ChannelTermsRow, 'id'>,
): Promise<void> {
  const { at, channel } = row;
  await record(tx, channelTerms, row, { at, what: 'channel.kept', detail: { channel } });
}

/** What is kept of every channel now. */
export const channelTermsNow = (db: Reading): Promise<ChannelTermsRow[]> =>
  db
    .select()
    .from(channelTerms)
    .where(
      sql`${channelTerms.id} IN (SELECT max(id) FROM channel_terms GROUP BY channel, currency)`,
    )
    .orderBy(channelTerms.channel);

/** What was kept of a channel until an instant, in a currency; null where nothing was. */
export async function channelTermsAt(
  db: Reading,
  { channel, currency }: { channel: string; currency: string },
  at: string,
): Promise<KeptTerms | null> {
  const [row] = await db
    .select()
    .from(channelTerms)
    .where(
      and(
        eq(channelTerms.channel, channel),
        eq(channelTerms.currency, currency),
        lte(channelTerms.at, at),
      ),
    )
    .orderBy(desc(channelTerms.id))
    .limit(1);
  return row ? { terms: row.terms, at: row.at } : null;
}
