import type { Channel } from './channel';
import { fair } from './fair';
import { gallery } from './gallery';
import { marketplace } from './marketplace';
import { ownSite } from './ownSite';
import { printOnDemand } from './printOnDemand';
import { privateSale } from './privateSale';
import { usualTerms } from './terms';
import type { ChannelFees } from './terms';

export type { Channel } from './channel';
export * from './kept';
export * from './terms';

/** Every channel that a price can be made for and an order can come through. */
export const CHANNELS: readonly Channel[] = [
  ownSite,
  marketplace,
  gallery,
  fair,
  printOnDemand,
  privateSale,
];
export const CHANNEL_IDS = CHANNELS.map((c) => c.id);

/** What a channel usually takes of a sale in a currency; null for a channel that is not known. */
export function usualFees(channel: string, currency: string): ChannelFees | null {
  const found = CHANNELS.find((c) => c.id === channel);
  if (!found) return null;
  const { commission, payment, fixed } = usualTerms(found, currency);
  return { commission, payment, fixed };
}
