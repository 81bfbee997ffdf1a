import fc from 'fast-check';
import {
  THIN,
  currencyDigits,
  formatAmount,
  formatDay,
  formatNumber,
  mm,
  minor,
} from '../units';
import { length, optional, parseLength, parseMoney, parseNumber } from '.';
import { readField, writeLength } from '.';

it.each([
  ['1234.5', 1234.5],
  ['1 234,5', 1234.5],
  ['1.234,50', 1234.5],
  ['1,234.50', 1234.5],
  ['1.234.567', 1234567],
  ['7 1/2', 7.5],
  ['-7 1/2', -7.5],
  ['3/8', 0.375],
  ['-3', -3],
  ['\u202f12\u00a0', 12],
  ['.5', 0.5],
])('%p is %d', (typed, value) => expect(parseNumber(typed)).toBeCloseTo(value, 9));

it.each([
  '',
  ' ',
  '1/0',
  'NaN',
  'Infinity',
  '0x10',
  '1e3',
  '1-2',
  '--1',
  '½ of it',
  ',',
  '.',
])('%p is no number', (typed) => expect(parseNumber(typed)).toBeNull());

it('is a finite number or nothing, whatever is typed', () =>
  fc.assert(
    fc.property(fc.string(), (typed) => {
      const value = parseNumber(typed);
      expect(value === null || Number.isFinite(value)).toBe(true);
    }),
  ));

it.each(['en-GB', 'de-DE', 'fr-FR', 'sv-SE'])('reads back what it wrote in %s', (locale) =>
  fc.assert(
    fc.property(fc.integer({ min: -9_999_999, max: 9_999_999 }), (cents) => {
      const written = formatNumber(cents / 100, 2, locale).replace('−', '-');
      expect(parseNumber(written)).toBeCloseTo(cents / 100, 9);
      const amount = formatAmount(minor(cents), 'EUR', locale).replace('−', '-');
      expect(parseMoney(amount, 'EUR')).toBe(cents);
    }),
  ),
);

it('keeps as many decimal places as the currency has', () => {
  expect(['EUR', 'JPY', 'KWD'].map(currencyDigits)).toEqual([2, 0, 3]);
  expect(parseMoney('1.5', 'KWD')).toBe(1500);
  expect(formatAmount(minor(1500), 'KWD', 'en-GB')).toBe('1.500');
  expect(formatAmount(minor(1500), 'JPY', 'en-GB')).toBe('1,500');
});

it.each([
  ['12in', 304.8],
  ['7 1/2"', 190.5],
  ['30 cm', 300],
  ['1.2 m', 1200],
  ['2 ft', 609.6],
  ['300', 300],
  ['29,7 CM', 297],
])('%p is %d mm', (typed, value) =>
  expect(parseLength(typed, 'metric')).toBeCloseTo(value, 6),
);

it('without a unit the mode decides, with one it does not', () => {
  expect(parseLength('10', 'inch')).toBeCloseTo(254, 9);
  expect(parseLength('10 mm', 'inch')).toBe(mm(10));
  expect(parseLength('10 furlongs', 'metric')).toBeNull();
});

it.each(['metric', 'inch'] as const)(
  'a length written in %s reads back the same',
  (units) =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000_000 }), (micrometres) => {
        const length = mm(micrometres / 1000);
        const back = parseLength(writeLength(length, units), units)!;
        expect(Math.abs(back - length)).toBeLessThan(1e-9);
      }),
    ),
);

it('writes inches where they are exact, millimetres where they are not', () => {
  expect(writeLength(mm(304.8), 'inch')).toBe('12 in');
  expect(writeLength(mm(300), 'inch')).toBe('300 mm');
});

it('reads one field by itself', () => {
  const c = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
  const field = length('Width', { above: 0, max: 900 });
  expect(readField(field, '12in', c)).toEqual({ ok: true, value: 304.8 });
  expect(readField(field, '2 m', c)).toMatchObject({
    fault: expect.stringMatching(/^Width: .* is too much/),
  });
  expect(readField(field, ' ', c)).toMatchObject({
    fault: expect.stringMatching(/^Width: is empty/),
  });
  expect(readField(optional(field), ' ', c)).toEqual({ ok: true, value: null });
});

it('writes a day the same whatever the hour, and whichever clock the machine keeps', () => {
  for (const iso of ['2026-03-04', '2026-03-04T00:00:00.000Z', '2026-03-04T23:59:59.999Z'])
    expect(formatDay(iso, 'en-GB')).toBe('4 Mar 2026');
  expect(formatDay('2026-03-04', 'de-DE')).toBe('4. März 2026');
});

it('groups from ten thousand on, so that years and pixels of a side stay whole', () => {
  expect(formatNumber(9449, 0, 'en-GB')).toBe('9449');
  expect(formatNumber(10_000, 0, 'en-GB')).toBe('10,000');
  expect(THIN).toBe('\u202f');
});
