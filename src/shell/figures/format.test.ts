import { size } from '@/core/units';
import { formatOf } from './format';

const plain = (text: string) => text.replace(/[\u202f\u00a0]/g, ' ');
const metric = formatOf({
  units: 'metric',
  locale: 'en-GB',
  currency: 'EUR',
  timeZone: 'UTC',
});
const inches = formatOf({
  units: 'inch',
  locale: 'en-US',
  currency: 'USD',
  timeZone: 'UTC',
});
const comma = formatOf({
  units: 'metric',
  locale: 'de-DE',
  currency: 'EUR',
  timeZone: 'UTC',
});

it('writes lengths in the units of the bench', () => {
  const of = (f: typeof metric) =>
    [f.length(254), f.distance(1524), f.size(size(508, 762))].map(plain);
  expect(of(metric)).toEqual(['254 mm', '1.5 m', '50.8 × 76.2 cm']);
  expect(of(inches)).toEqual(['10 in', '5 ft', '20 × 30 in']);
});

it('writes figures by its locale, and money in its currency', () => {
  expect([metric.number(1234.5, 1), comma.number(1234.5, 1)].map(plain)).toEqual([
    '1234.5',
    '1234,5',
  ]);
  expect([metric.percent(0.4567, 1), comma.percent(0.4567, 1)].map(plain)).toEqual([
    '45.7 %',
    '45,7 %',
  ]);
  expect([metric.money(123_450), inches.money(123_450)].map(plain)).toEqual([
    '€1,234.50',
    '$1,234.50',
  ]);
  expect(plain(comma.amount(123_450))).toBe('1.234,50');
  expect(plain(metric.mass(580))).toBe('580 g');
  expect(metric.day('2026-11-05T10:00:00.000Z')).toContain('Nov');
});

it('a day is never broken over two lines', () => {
  for (const locale of ['en-GB', 'de-DE', 'fr-FR'])
    expect(
      formatOf({ units: 'metric', locale, currency: 'EUR', timeZone: 'UTC' }).day(
        '2026-03-04',
      ),
    ).not.toMatch(/ /);
});
