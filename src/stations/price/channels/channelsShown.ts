import { priceForNet, readyChannel, saleThrough } from '@/core/price';
import type { ChannelSale, ChannelTerms } from '@/core/price';
import type { ValueOf } from '@/core/input';
import type { Minor } from '@/core/units';
import { minor } from '@/core/units';
import type { channelsForm } from './channelForms';

export type ChannelsAsked = ValueOf<(typeof channelsForm)['fields']>;

/** A channel with what it asks, and whether that was kept or is usual. */
export interface KnownChannel {
  channel: string;
  terms: ChannelTerms;
  /** Day that it was kept; null: rule of thumb. */
  keptOn: string | null;
}

/** Channels as they are known, and one that prints itself where nobody has said what it asks. */
export interface KnownChannels {
  channels: KnownChannel[];
  /** Why a channel that prints is not reckoned; null where it is. */
  notReckoned: { channel: string; why: 'numbered' | 'noBasePrice' } | null;
}

export interface ChannelShown extends KnownChannel {
  sale: ChannelSale;
  /** The lowest price that leaves what is wanted; null where none does. */
  priceForNet: Minor | null;
}

/** A price side by side on every channel, and what each needs. */
export const channelsShown = (
  channels: readonly KnownChannel[],
  { price, wantedNet, cost, ...expected }: ChannelsAsked,
  { hour, step }: { hour: Minor; step: Minor },
): ChannelShown[] =>
  channels.map((known) => {
    const ready = readyChannel(known.terms, { ...expected, hour });
    return {
      ...known,
      sale: saleThrough(price, cost, ready),
      priceForNet: priceForNet(wantedNet, cost, ready, { step, less: minor(0) }),
    };
  });
