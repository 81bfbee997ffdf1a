import type { Parcel } from '@/core/pack';
import { grams, mm } from '@/core/units';
import { CARRIERS, quoteAll, simulatedScales } from '.';

const parcel = (width: number, total = 600): Parcel => ({
  parts: [
    { part: 'print', name: 'print', mass: grams(total - 30) },
    { part: 'certificate', name: 'certificate', mass: grams(30) },
  ],
  total: grams(total),
  width: mm(width),
  height: mm(550),
  depth: mm(9),
});

it('quotes the cheapest first and says why a service refuses', () => {
  const quotes = quoteAll(parcel(450));
  expect(quotes[0]).toMatchObject({ carrier: 'Lantern Post', refused: null });
  const costs = quotes.filter((q) => q.refused === null).map((q) => q.cost);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
  expect(quoteAll(parcel(700)).find((q) => q.service === 'flat, tracked')?.refused).toBe(
    'tooLong',
  );
  expect(
    quoteAll(parcel(450, 2500)).find((q) => q.service === 'flat, tracked')?.refused,
  ).toBe('tooHeavy');
});

it('books the same order under the same tracking number', async () => {
  const [carrier] = CARRIERS;
  const [quote] = carrier!.quote(parcel(450));
  const first = await carrier!.book(quote!, '0412');
  expect(await carrier!.book(quote!, '0412')).toEqual(first);
  expect(await carrier!.book(quote!, '0413')).not.toEqual(first);
});

it('weighs only what lies on the scales', async () => {
  const all = await simulatedScales(
    parcel(450),
    new Set(['print', 'certificate']),
    1,
  ).read();
  const without = await simulatedScales(parcel(450), new Set(['print']), 1).read();
  expect(all - without).toBe(30);
});
