import { CHANNELS, batchPaid, usualTerms } from '@/core/price';
import { channelTermsNow } from '@/data';
import type { Reading } from '@/data';
import { minor } from '@/core/units';
import type { ComparedRoute } from '../routes/comparedRoutes';
import type { KnownChannel, KnownChannels } from './channelsShown';

/** The least that anybody who prints to order asks for one, their postage in it; null where nobody has a price. */
function basePriceOf(routes: readonly ComparedRoute[]): number | null {
  const asked = routes
    .filter((r) => r.kind === 'onDemand')
    .flatMap((r) => batchPaid(r.prices, 1)?.total ?? []);
  return asked.length === 0 ? null : Math.min(...asked);
}

/**
 * Every channel with what was kept of it in the currency of the bench, else what is usual. One
 * that prints itself costs what its price list asks; without one it is not reckoned.
 */
export async function knownChannels(
  db: Reading,
  {
    currency,
    limited,
    routes,
  }: { currency: string; limited: boolean; routes: readonly ComparedRoute[] },
): Promise<KnownChannels> {
  const kept = (await channelTermsNow(db)).filter((t) => t.currency === currency);
  const base = basePriceOf(routes);
  const channels = CHANNELS.flatMap((channel): KnownChannel[] => {
    const own = kept.find((k) => k.channel === channel.id);
    const terms = own?.terms ?? usualTerms(channel, currency);
    const known = { channel: channel.id, terms, keptOn: own?.at ?? null };
    if (!channel.makes) return [known];
    return base === null || limited
      ? []
      : [{ ...known, terms: { ...terms, basePrice: minor(base) } }];
  });
  const left = CHANNELS.find((c) => !channels.some((k) => k.channel === c.id));
  return {
    channels,
    notReckoned: left
      ? { channel: left.id, why: limited ? 'numbered' : 'noBasePrice' }
      : null,
  };
}
