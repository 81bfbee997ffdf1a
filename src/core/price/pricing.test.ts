import fc from 'fast-check';
import { minor } from '../units';
import {
  CHANNELS,
  PRICE_VALUES,
  costOfImpression,
  lineSale,
  priceForMargin,
  reckonPrice,
  saleAt,
  startPrice,
  thirdOfOriginal,
  usualFees,
  usualTerms,
} from '.';
import type { KeptPrice } from '.';

const input = {
  printing: minor(1800),
  paper: minor(600),
  capture: minor(9000),
  proofs: minor(6000),
  expectedImpressions: 30,
  spoilage: 0.04,
  finishing: minor(0),
  packing: minor(450),
  postage: minor(610),
  hours: 0.5,
  hourlyRate: minor(2400),
};
const NOTHING = {
  currency: 'EUR',
  printing: null,
  paper: null,
  capture: null,
  proofs: null,
  editionSize: null,
};
const fees = { commission: 0.065, payment: 0.03, fixed: minor(45) };

it('adds the parts of an impression, spreading what is paid once', () => {
  const { parts, total } = costOfImpression(input);
  const amount = Object.fromEntries(parts.map((p) => [p.part, p.amount]));
  expect(amount).toMatchObject({ capture: 300, proofs: 200, spoilage: 100, labour: 1200 });
  expect(total).toBe(1800 + 600 + 300 + 200 + 100 + 450 + 610 + 1200);
});

it('finds the price for a margin, and no price when nothing would be left', () => {
  const price = priceForMargin(minor(5260), fees, 0.4, minor(100));
  expect(price).toBe(Math.ceil(5305 / 0.505 / 100) * 100);
  expect(priceForMargin(minor(5260), fees, 1, minor(100))).toBeNull();
  expect(priceForMargin(minor(5260), fees, 0.905, minor(100))).toBeNull();
});

it('a price found for a margin really leaves it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.double({ min: 0, max: 0.85, noNaN: true }),
      (cost, margin) => {
        const price = priceForMargin(minor(cost), fees, margin, minor(1));
        const sale = saleAt(price!, minor(cost), fees);
        expect(sale.net).toBeGreaterThanOrEqual(Math.floor(price! * margin) - 1);
        expect(sale.gross - sale.fees - sale.cost).toBe(sale.net);
      },
    ),
  );
});

describe('what a line of an order leaves follows its own channel', () => {
  const kept = (over: Partial<KeptPrice>): KeptPrice => ({
    channel: 'own site',
    currency: 'EUR',
    cost: minor(3000),
    fees: { commission: 0, payment: 0.029, fixed: minor(30) },
    at: '2026-11-02T10:00:00.000Z',
    ...over,
  });
  const gallery = { commission: 0.35, payment: 0, fixed: minor(0) };
  const line = { price: minor(10_000), currency: 'EUR', copies: 1, channel: 'gallery' };

  it('the fees of the newest price kept for it, the cost of the newest of any', () => {
    const prices = [
      kept({ channel: 'gallery', fees: gallery }),
      kept({ cost: minor(3200) }),
    ];
    expect(lineSale(line, prices)).toEqual({ cost: 3200, fees: 3500, basis: 'kept' });
    expect(lineSale({ ...line, channel: 'own site' }, prices)).toEqual({
      cost: 3200,
      fees: 320,
      basis: 'kept',
    });
  });

  it('its usual fees where no price was kept for it, and says so', () => {
    expect(lineSale(line, [kept({})])).toEqual({ cost: 3000, fees: 4000, basis: 'usual' });
  });

  it('nothing is reckoned across currencies, nor for a channel nobody knows', () => {
    expect(lineSale({ ...line, currency: 'JPY' }, [kept({})])).toMatchObject({
      cost: null,
      basis: 'usual',
    });
    expect(lineSale({ ...line, channel: 'the moon' }, [])).toEqual({
      cost: null,
      fees: null,
      basis: 'unknown',
    });
  });

  it('what was kept of the channel, where that is later than its price', () => {
    const terms = {
      ...usualTerms(
        CHANNELS.find((c) => c.id === 'gallery')!,
        'EUR',
      ),
      commission: 0.5,
      framing: minor(1200),
    };
    const own = [kept({ channel: 'gallery', fees: gallery })];
    const at = (day: string) => ({ terms, at: `2026-11-${day}T10:00:00.000Z` });
    expect(lineSale(line, own, at('03'))).toMatchObject({ fees: 6200, basis: 'kept' });
    expect(lineSale(line, own, at('01'))).toMatchObject({ fees: 3500, basis: 'kept' });
    expect(lineSale(line, [], at('01'))).toMatchObject({ fees: 6200, basis: 'kept' });
    // The frame is each copy's, the share the whole line's.
    expect(lineSale({ ...line, copies: 3 }, own, at('03')).fees).toBe(5000 + 3600);
  });

  it('what others print costs what they ask, never what it costs here', () => {
    const there = { ...line, channel: 'print on demand' };
    expect(lineSale(there, [kept({})])).toMatchObject({ cost: null, basis: 'usual' });
    const own = [kept({ channel: 'print on demand', cost: minor(2690) }), kept({})];
    expect(lineSale(there, own).cost).toBe(2690);
  });

  it('copies cost each their own', () => {
    expect(lineSale({ ...line, copies: 3 }, [kept({})]).cost).toBe(9000);
  });
});

it('usual fees are in the currency asked for', () => {
  expect(usualFees('own site', 'EUR')).toMatchObject({ fixed: 30 });
  expect(usualFees('own site', 'KWD')).toMatchObject({ fixed: 300 });
  expect(CHANNELS.every((c) => usualFees(c.id, 'JPY')!.fixed <= 1)).toBe(true);
  expect(usualFees('the moon', 'EUR')).toBeNull();
});

it('a price starts with what is known, and never with nothing where it is', () => {
  const known = {
    currency: 'EUR',
    printing: minor(84),
    paper: minor(640),
    capture: minor(4500),
    proofs: minor(1800),
    editionSize: 30,
  };
  expect(startPrice(known)).toMatchObject({
    printing: 84,
    paper: 640,
    capture: 4500,
    proofs: 1800,
    expectedImpressions: 30,
    packing: 450,
  });
  const blank = {
    currency: 'JPY',
    printing: null,
    paper: null,
    capture: null,
    proofs: null,
    editionSize: null,
  };
  expect(startPrice(blank)).toMatchObject({
    printing: 0,
    paper: 0,
    packing: 5,
    expectedImpressions: 10,
  });
  expect(reckonPrice(startPrice(known)).sale).not.toBeNull();
  expect(thirdOfOriginal(minor(90_000))).toBe(30_000);
});

it('a price that was set is that price, whatever margin it leaves', () => {
  const values = {
    ...startPrice({ ...NOTHING, printing: minor(2000) }),
    asked: minor(2100),
  };
  const { cost, sale } = reckonPrice(values);
  expect(sale!.gross).toBe(2100);
  expect(sale!.net).toBe(2100 - sale!.fees - cost.total);
  expect(sale!.net).toBeLessThan(0);
  // With a margin that leaves nothing of any price, what was set still is one.
  expect(reckonPrice({ ...values, margin: 1 }).sale!.gross).toBe(2100);
});

it('a price of before prices could be set is that of its margin', () => {
  const { asked: _, ...before } = startPrice({ ...NOTHING, printing: minor(2000) });
  expect(PRICE_VALUES.read({ version: 1, ...before })).toEqual({ ...before, asked: null });
});

it('wear, gifts and the hours of each step stand apart, and all of them count', () => {
  const values = startPrice({ ...NOTHING, printing: minor(2000) });
  const more = {
    ...values,
    ...{ wear: minor(120), donation: minor(300), hours: 0.25, hourlyRate: minor(2400) },
    ...{ signingHours: 0.1, finishingHours: 0.5, packingHours: 0.2 },
  };
  const { parts, total } = costOfImpression(more);
  const amount = (part: string) => parts.find((p) => p.part === part)!.amount;
  expect(
    ['wear', 'donation', 'labour', 'signing', 'framing', 'wrapping'].map(amount),
  ).toEqual([120, 300, 600, 240, 1200, 480]);
  expect(total).toBe(parts.reduce((sum, p) => sum + p.amount, 0));
  const { wear: _, donation: __, ...before } = values;
  const { signingHours: ___, finishingHours: ____, packingHours: _____, ...old } = before;
  const read = PRICE_VALUES.read({ version: 2, ...old });
  expect(costOfImpression(read).total).toBe(costOfImpression(old).total);
});
