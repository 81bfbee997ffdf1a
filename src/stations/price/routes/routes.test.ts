import { formatOf } from '@/shell/figures/format';
import { leftOutWords, cheapestWords, moreWords } from './routesWords';
import { routesShown } from './routesShown';
import type { ComparedRoute } from './comparedRoutes';

const format = formatOf({ units: 'metric', currency: 'EUR', locale: 'en-GB' } as never);
const route = (name: string, each: number, over = {}): ComparedRoute => ({
  kind: 'onlineLab',
  prices: {
    name,
    setUp: 0,
    leastQuantity: 1,
    breaks: [{ from: 1, each }],
    postage: [],
    ...over,
  },
  days: 6,
  loses: '',
  from: '2026-11-01',
});
const own = route('own printer', 1540);
const lab = route('lab', 0, {
  setUp: 1500,
  leastQuantity: 2,
  breaks: [
    { from: 1, each: 2400 },
    { from: 10, each: 1700 },
    { from: 25, each: 1150 },
  ],
});

it('says who is cheapest, by how much, and from where on it is another', () => {
  const shown = routesShown([own, lab], 8);
  expect(shown.quoted.map((q) => q.route)).toEqual(['own printer', 'lab']);
  expect(cheapestWords(shown, format)).toBe(
    'own printer prints them for €123.20: €83.80 less than lab. From 25 on it is lab.',
  );
  expect(shown.more).toHaveLength(1);
  expect(moreWords(shown.more[0]!, shown, format)).toBe(
    'lab: 10 cost less than 8, €185.00 instead of €207.00, €22.00 saved.',
  );
});

it('at one print those are named who print no so few', () => {
  const shown = routesShown([own, lab], 1);
  expect(shown.quoted.map((q) => q.route)).toEqual(['own printer']);
  expect(shown.notSoFew).toEqual([{ name: 'lab', least: 2 }]);
  expect(cheapestWords(routesShown([lab], 1), format)).toBe(
    'Nobody prints so few. From 2 on it is lab.',
  );
});

it('draws every quantity by itself, and none that nobody prints', () => {
  const { drawn } = routesShown([own, lab], 20);
  expect(drawn[0]!.points).toHaveLength(200);
  expect(drawn[1]!.points[0]).toEqual({ quantity: 2, each: 3150 });
  expect(drawn[1]!.points.find((p) => p.quantity === 25)!.each).toBe(
    (25 * 1150 + 1500) / 25,
  );
});

it('says why a list is not compared', () => {
  expect(leftOutWords({ name: 'Sandbar', why: 'numbered' })).toContain('numbered');
  expect(leftOutWords({ name: 'Sandbar', why: 'noPrice' })).toContain(
    'no price for this size',
  );
});
