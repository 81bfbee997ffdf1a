import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { priceOfFile } from './priceFile';

const folder = mkdtempSync(join(tmpdir(), 'prices-'));
afterAll(() => rmSync(folder, { recursive: true }));
const EXAMPLES = 'docs/examples/price';
const shipped = (name: string) =>
  JSON.parse(readFileSync(join(EXAMPLES, name), 'utf8')) as Record<string, unknown>;
const put = (job: unknown) => {
  const path = join(folder, 'job.json');
  writeFileSync(path, typeof job === 'string' ? job : JSON.stringify(job));
  return path;
};
const answer = (job: unknown) => priceOfFile(put(job), () => undefined);
const TWO = shipped('two-routes.json');

it('two routes: what a batch costs, who is cheapest, when it is paid, how many are best', async () => {
  const found = await answer(TWO);
  expect(found.cost).toHaveLength(400);
  expect(found.cost).toContainEqual({ route: 'lab', quantity: 10, total: 19_490 });
  expect(found.cheapest).toEqual([{ from: 1, route: 'own' }]);
  expect(found.cheaperToOrderMore).toEqual([
    { route: 'lab', wanted: 8, order: 10, saves: 2200 },
    { route: 'lab', wanted: 9, order: 10, saves: 4600 },
  ]);
  expect(found.breakEven).toContainEqual({ route: 'lab', quantity: 10, sold: 5 });
  expect(found.breakEven).toContainEqual({ route: 'lab', quantity: 1, sold: null });
  expect(found.bestBatch).toMatchObject([
    { route: 'lab', quantity: 16, expectedProfit: 51_093 },
    { route: 'own', quantity: 16, expectedProfit: 59_183 },
  ]);
  // What was not asked is not answered.
  expect(found).toMatchObject({
    simulated: null,
    channels: null,
    ladder: null,
    printer: null,
  });
});

it('what is paid by the month is paid once for each of them', async () => {
  const channel = { share: 0.095, fixed: 45, perMonth: 1000 };
  const [lab] = (await answer({ ...TWO, channel, months: 12 })).bestBatch!;
  expect(lab!.expectedProfit).toBe(51_093 - 12_000);
  expect((await answer({ ...TWO, channel })).monthlyFee).toEqual({
    perMonth: 1000,
    sold: 1,
  });
});

it.each(readdirSync(EXAMPLES))('answers %s, which ships', async (name) => {
  const found = await priceOfFile(join(EXAMPLES, name), () => undefined);
  expect(found.currency).toBe('EUR');
  const asked = Object.keys(shipped(name));
  for (const key of ['channels', 'ladder', 'printer'] as const)
    expect(found[key] !== null).toBe(asked.includes(key));
  expect(found.simulated !== null).toBe(asked.includes('simulate'));
});

it('months that are simulated say how far they are', async () => {
  const heard: number[] = [];
  await priceOfFile(join(EXAMPLES, 'how-many.json'), (share) => heard.push(share));
  expect(heard.at(-1)).toBe(1);
  expect(heard.length).toBeGreaterThan(5);
});

it('says what is possible and odd', async () => {
  const { warnings } = await answer({
    ...TWO,
    price: 600,
    routes: [
      {
        name: 'lab',
        breaks: [
          { from: 1, each: 900 },
          { from: 5, each: 950 },
        ],
      },
    ],
    unsoldWorth: 10_000,
  });
  expect(warnings).toEqual([
    { what: 'risingBreak', route: 'lab', from: 5, each: 950, before: 900 },
    { what: 'saleLoses', left: 498, perPrint: 640 },
    { what: 'bestMayBeLarger', route: 'lab', to: 200 },
  ]);
  const poor = await answer({ ...TWO, price: 1000 });
  expect(poor.warnings.map((w) => w.what)).toContain('everyBatchLoses');
});

const ROUTE = { name: 'lab', breaks: [{ from: 1, each: 900 }] };
it.each<[string, object | string, RegExp]>([
  ['nothing asked', { currency: 'EUR' }, /Nothing is asked/],
  ['no currency', { ...TWO, currency: 'euro' }, /currency/],
  ['fees of everything', { ...TWO, channel: { share: 1 } }, /nothing is left/],
  ['more than everything', { ...TWO, channel: { share: 1.2 } }, /channel\.share/],
  ['a batch of none', { ...TWO, quantities: [0, 10] }, /quantities/],
  ['a batch the wrong way round', { ...TWO, quantities: [9, 3] }, /9 to 3/],
  [
    'a hole',
    { currency: 'EUR', routes: [{ ...ROUTE, breaks: [{ from: 3, each: 1 }] }] },
    /no price for 1 to 2/,
  ],
  [
    'an overlap',
    { currency: 'EUR', routes: [{ ...ROUTE, breaks: [...ROUTE.breaks, ...ROUTE.breaks] }] },
    /two prices from 1 on/,
  ],
  [
    'postage that ends',
    { currency: 'EUR', routes: [{ ...ROUTE, postage: [{ upTo: 9, cost: 1 }] }] },
    /no postage for 10 to 200 prints/,
  ],
  ['a route twice', { currency: 'EUR', routes: [ROUTE, ROUTE] }, /twice/],
  [
    'hours of 25 a day',
    { ...TWO, channels: { cost: 1, of: [{ channel: 'fair', dayHours: 25 }] } },
    /dayHours/,
  ],
  ['parts of a cent', { ...TWO, price: 80.5 }, /price must be integer/],
  ['a demand without its figures', { ...TWO, demand: { kind: 'poisson' } }, /mean/],
  [
    'guesses out of order',
    { ...TWO, demand: { kind: 'threePoint', low: 9, likely: 2, high: 3 } },
    /low not above likely/,
  ],
  ['a key that nobody knows', { ...TWO, pricee: 1 }, /“pricee”/],
  [
    'more months than are held at once',
    {
      ...shipped('how-many.json'),
      simulate: {
        ...(shipped('how-many.json').simulate as object),
        runs: 100_000,
        months: 120,
      },
    },
    /100000 × 120 months are too many/,
  ],
  [
    'months without a price',
    { ...shipped('how-many.json'), price: undefined, channel: undefined },
    /simulate needs a price/,
  ],
  [
    'a route that is not there',
    {
      ...shipped('how-many.json'),
      simulate: { ...(shipped('how-many.json').simulate as object), batchRoute: 'nobody' },
    },
    /no route called nobody/,
  ],
  [
    'a ladder through two sizes that count the same',
    {
      currency: 'EUR',
      ladder: {
        items: [{ id: 'a', width: 300, height: 400 }],
        rule: {
          by: 'area',
          through: { width: 300, height: 400, price: 100 },
          and: { width: 400, height: 300, price: 200 },
        },
      },
    },
    /equally large/,
  ],
  [
    'channels without a price',
    { currency: 'EUR', channels: { cost: 1, of: [] } },
    /needs a price/,
  ],
  ['no JSON', '{', /not JSON/],
])('refuses %s, in words', async (_, job, words) => {
  await expect(answer(job)).rejects.toThrow(words);
});

it('currencies of no decimals and of three are reckoned in their minor units', async () => {
  for (const currency of ['JPY', 'KWD'])
    expect((await answer({ ...TWO, currency })).cost).toContainEqual({
      route: 'lab',
      quantity: 10,
      total: 19_490,
    });
});

it('one print part by part, its tax apart, a second batch, framed and on another paper', async () => {
  const one = shipped('one-print.json');
  const found = await answer(one);
  // 2.40 + 6.40, 0.37 spoiled, 1.50 + 0.60 once, 3.10 packing, 0.90 wear, 2.00 given, 0.55 h.
  expect(found.impression!.total).toBe(240 + 640 + 37 + 150 + 60 + 310 + 90 + 200 + 1320);
  expect(found.impression!.overSold).toHaveLength(60);
  expect(found.impression!.overSold[29]).toBe(found.impression!.total);
  expect(found.tax).toEqual({ before: 7417, tax: 1483, pays: 8900 });
  expect(found.ladder!.rows.map((r) => r.price)).toEqual([9000, 11_000, 15_500]);
  const [alone] = (await answer({ ...one, secondBatch: false })).bestBatch!;
  const [again] = found.bestBatch!;
  expect(again!.quantity).toBeLessThan(alone!.quantity);
  expect(again!.expectedProfit).toBeGreaterThan(alone!.expectedProfit);
});

it.each([
  [{ secondBatch: true, quantities: [1, 5000] }, /5000 with secondBatch \(1000 at most\)/],
  [{ tax: { share: 0.2 }, price: undefined, channel: undefined }, /price/],
  [{ impression: { spoilage: 1 } }, /spoilage/],
  [{ impression: { hours: -1 } }, /hours/],
])('refuses %j in words', async (over, words) => {
  await expect(answer({ ...TWO, ...over })).rejects.toThrow(words);
});
