import { CHANNELS, usualTerms } from '@/core/price';
import { minor } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { channelsShown } from './channelsShown';
import type { ChannelsAsked, KnownChannel } from './channelsShown';
import { needsWords, notReckonedWords, onePriceWords } from './channelsWords';

const format = formatOf({ units: 'metric', currency: 'EUR', locale: 'en-GB' } as never);
const channels: KnownChannel[] = CHANNELS.filter((c) => !c.makes).map((c) => ({
  channel: c.id,
  terms: usualTerms(c, 'EUR'),
  keptOn: null,
}));
const asked: ChannelsAsked = {
  price: minor(9200),
  wantedNet: minor(4100),
  cost: minor(3961),
  perMonth: 4,
  perDay: 12,
  monthsListed: 6,
};
const shown = (over: Partial<ChannelsAsked> = {}) =>
  channelsShown(channels, { ...asked, ...over }, { hour: minor(2400), step: minor(100) });
const of = (channel: string) => shown().find((c) => c.channel === channel)!;

it('a price side by side: what each channel takes, and what is left', () => {
  expect(of('own site').sale).toMatchObject({
    fees: 267 + 30 + 300,
    net: 9200 - 597 - 3961,
  });
  expect(of('gallery').sale.net).toBe(9200 - 3680 - 3961);
  expect(of('fair').sale.fees).toBe(161 + 2750);
  for (const { sale } of shown()) expect(sale.gross - sale.fees - sale.cost).toBe(sale.net);
});

it('the price that each needs really leaves it, and one step less does not', () => {
  for (const { channel, priceForNet } of shown()) {
    const at = (price: number) =>
      shown({ price: minor(price) }).find((c) => c.channel === channel)!.sale.net;
    expect(at(priceForNet!)).toBeGreaterThanOrEqual(4100);
    expect(at(priceForNet! - 100)).toBeLessThan(4100);
  }
});

it('says what one price costs, what a channel needs, and what must sell', () => {
  expect(onePriceWords(shown(), format)).toBe(
    'One price everywhere: a sale through gallery leaves €36.80 less than one through private.',
  );
  expect(needsWords(of('gallery'), 4100, format)).toEqual([
    'For €41.00 of each, gallery would have to ask €135.00.',
  ]);
  expect(needsWords(of('fair'), 0, format)).toEqual(['fair: 7 sales pay a day there.']);
  expect(needsWords(of('private'), 4100, format)).toEqual([]);
  const poor = shown({ price: minor(3000) }).find((c) => c.channel === 'fair')!;
  expect(needsWords(poor, -9999999, format)).toEqual([
    'fair: no number of sales pays a day there.',
  ]);
  expect(onePriceWords(shown().slice(0, 1), format)).toBe('');
});

it('a channel that prints is not reckoned without its base price, and that is said', () => {
  expect(notReckonedWords({ channel: 'print on demand', why: 'noBasePrice' })).toContain(
    'no price list',
  );
});
