import type { Fee } from '@/core/price';
import type { Format } from '@/shell/figures';
import type { ChannelShown, KnownChannels } from './channelsShown';

/** Nothing would be left of any price: said at the commission. */
export const SHARES_TAKE_ALL =
  'Commission: with payment and advertising it takes all of any price. Lower one of them.';

/** What a channel takes a price for. */
export const FEE_WORDS: Record<Fee, string> = {
  commission: 'commission',
  payment: 'payment',
  advertising: 'advertising',
  fixed: 'fixed fee',
  listing: 'listing',
  perMonth: 'its share of the month',
  day: 'its share of the day',
  framing: 'framing',
};

type Money = Pick<Format, 'money'>;

/** What one price on every channel comes to: the best and the worst of them. */
export function onePriceWords(shown: readonly ChannelShown[], format: Money): string {
  const by = [...shown].sort((a, b) => b.sale.net - a.sale.net);
  const [best, worst] = [by[0], by.at(-1)];
  if (!best || !worst || best === worst) return '';
  const lost = format.money(best.sale.net - worst.sale.net);
  return `One price everywhere: a sale through ${worst.channel} leaves ${lost} less than one through ${best.channel}.`;
}

/** What a channel needs, where a wanted net asks for another price; and what must sell. */
export function needsWords(
  { channel, sale, priceForNet, terms }: ChannelShown,
  wanted: number,
  format: Money,
): string[] {
  const words: string[] = [];
  if (priceForNet === null) words.push(`${channel}: no price leaves that.`);
  else if (sale.net < wanted)
    words.push(
      `For ${format.money(wanted)} of each, ${channel} would have to ask ${format.money(priceForNet)}.`,
    );
  const { perDay, perMonth } = sale.mustSell;
  if (terms.day > 0 || terms.dayHours > 0)
    words.push(
      perDay === null
        ? `${channel}: no number of sales pays a day there.`
        : `${channel}: ${perDay} sales pay a day there.`,
    );
  if (terms.perMonth > 0 && perMonth !== null && perMonth > 1)
    words.push(`${channel}: ${perMonth} sales pay a month.`);
  return words;
}

const NOT_RECKONED = {
  numbered: 'this edition is numbered, and nobody numbers or signs there',
  noBasePrice: 'no price list of somebody who prints to order has this size',
} as const;

/** Why a channel is not reckoned. */
export const notReckonedWords = ({
  channel,
  why,
}: NonNullable<KnownChannels['notReckoned']>): string =>
  `${channel} is not reckoned: ${NOT_RECKONED[why]}.`;
