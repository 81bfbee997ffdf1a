import fc from 'fast-check';
import {
  formatAmount,
  formatLength,
  formatMass,
  formatMoney,
  formatNumber,
  formatThickness,
  currencyDigits,
  mm,
  minor,
} from '../units';
import { length, money, optional, percent, readField, readSize, whole, decimal } from '.';
import { readLength, readMoney, readNumber, readWhole, Undecided, Unfit } from '.';
import { writeAmount, writeLength, writeNumber, writePercent } from '.';
import { mass, readMass, readThickness, thickness, writeMass, writeThickness } from '.';
import { lengthTypedBefore, moneyTypedBefore, numberTypedBefore } from './typedBefore';

const LOCALES = ['en-GB', 'de-DE', 'fr-FR', 'sv-SE', 'de-CH', 'ar-EG', 'en-IN', 'fa-IR'];
const CURRENCIES = ['EUR', 'JPY', 'KWD', 'CHF'];

/** What is measured, to how many digits it is read back as written, and how far it is rounded in print. */
const QUANTITIES = [
  {
    ...{ write: writeLength, read: readLength, print: formatLength },
    ...{ most: 20_000_000, digits: 9, rounded: 0.51 },
    toString: () => 'lengths',
  },
  {
    ...{ write: writeThickness, read: readThickness, print: formatThickness },
    ...{ most: 5000, digits: 6, rounded: 0.0051 },
    toString: () => 'thicknesses',
  },
  {
    ...{ write: writeMass, read: readMass, print: formatMass },
    ...{ most: 50_000_000, digits: 5, rounded: 5.1 },
    toString: () => 'masses',
  },
];

/** What a reading says: the value, or `?` and what it may be. */
const said = (read: unknown) =>
  read instanceof Undecided
    ? ['?', ...(read.readings as number[])]
    : read instanceof Unfit
      ? read.because
      : read;

it.each([
  ['en-GB', '1234.5', 1234.5],
  ['en-GB', '1,234', 1234],
  ['en-GB', '12,500', 12500],
  ['en-GB', '1.234', 1.234],
  ['en-US', '1,234.50', 1234.5],
  ['de-DE', '1.234', 1234],
  ['de-DE', '1,234', 1.234],
  ['de-DE', '1.234,50', 1234.5],
  ['fr-FR', '1 234,5', 1234.5],
  ['sv-SE', '\u22125', -5],
  ['sv-SE', '1\u00a0234,5', 1234.5],
  ['de-CH', '1’234.50', 1234.5],
  ['de-CH', "1'234", 1234],
  ['en-IN', '12,34,567.5', 1234567.5],
  ['ar-EG', '١٬٢٣٤٫٥', 1234.5],
  ['en-GB', '１２．５', 12.5],
  ['en-GB', '12 500.25', 12500.25],
  ['en-GB', '7 1/2', 7.5],
  ['de-DE', '-7 1/2', -7.5],
  ['en-GB', '7½', 7.5],
  ['en-GB', '13 ⅓', 13 + 1 / 3],
  ['en-GB', '3/8', 0.375],
  ['en-GB', '\u202f12\u00a0', 12],
  ['en-GB', '.5', 0.5],
  ['de-DE', ',5', 0.5],
  ['en-GB', '+5', 5],
  ['en-GB', '007', 7],
  ['en-GB', '5.', 5],
])('in %s, %p is %d', (locale, typed, value) =>
  expect(readNumber(typed, locale)).toBeCloseTo(value, 9),
);

it.each([
  ['en-GB', '12,5', ['?', 12.5]],
  ['en-GB', '1.234,5', ['?', 1234.5]],
  ['de-DE', '12.5', ['?', 12.5]],
  ['de-DE', '1,234.5', ['?', 1234.5]],
  ['sv-SE', '1.234', ['?', 1.234, 1234]],
  ['fr-FR', '1.234', ['?', 1.234, 1234]],
  ['de-CH', '1,234', ['?', 1234, 1.234]],
  ['en-GB', '1.234.567', ['?', 1234567]],
])('in %s, %p is not guessed', (locale, typed, what) =>
  expect(said(readNumber(typed, locale))).toEqual(what),
);

it.each([
  '',
  ' ',
  '1/0',
  'NaN',
  'Infinity',
  '0x10',
  '1e3',
  'ten',
  '1-2',
  '--1',
  '½ of it',
  ',',
  '.',
  '1,2,3',
  '1..2',
  '1,23.4',
  '12 34',
  '５月',
])('%p is no number anywhere', (typed) => {
  for (const locale of LOCALES) expect(readNumber(typed, locale)).toBeNull();
});

it('is a finite number, a question, or nothing, whatever is typed', () =>
  fc.assert(
    fc.property(
      fc.oneof(fc.string(), fc.string({ unit: fc.constantFrom(...'0١1２9.,’ -٫٬') })),
      fc.constantFrom(...LOCALES),
      (typed, locale) => {
        const read = readNumber(typed, locale);
        const values = read instanceof Undecided ? read.readings : [read];
        for (const v of values) expect(v === null || Number.isFinite(v)).toBe(true);
      },
    ),
  ));

describe.each(LOCALES)('%s', (locale) => {
  it('reads back every figure that it prints', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -9_999_999_999, max: 9_999_999_999 }),
        fc.integer({ min: 0, max: 4 }),
        (n, digits) => {
          const value = n / 10 ** digits;
          const printed = formatNumber(value, digits, locale);
          expect(readNumber(printed, locale)).toBeCloseTo(value, 9);
          expect(readNumber(writeNumber(value, locale), locale)).toBeCloseTo(value, 9);
        },
      ),
    ));

  it.each(CURRENCIES)('reads back all amounts of %s', (currency) =>
    fc.assert(
      fc.property(fc.integer({ min: -99_999_999, max: 999_999_999 }), (cents) => {
        const amount = minor(cents);
        for (const printed of [
          formatMoney(amount, currency, locale),
          formatAmount(amount, currency, locale),
          writeAmount(amount, currency, locale),
        ])
          expect([printed, readMoney(printed, currency, locale)]).toEqual([printed, cents]);
      }),
    ),
  );

  it.each(
    QUANTITIES.flatMap((q) =>
      (['metric', 'inch'] as const).map((units) => [q, units] as const),
    ),
  )('reads back %s of %s, as written and as printed', (q, units) =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: q.most }), (thousandths) => {
        const wanted = mm(thousandths / 1000) as never;
        const written = q.write(wanted, units, locale);
        expect(q.read(written, units, locale)).toBeCloseTo(wanted, q.digits);
        const read = q.read(q.print(wanted, units, locale), units, locale) as number;
        expect(Math.abs(read - wanted)).toBeLessThan(q.rounded);
      }),
    ),
  );

  it('reads back shares', () => {
    const field = percent('Margin', { min: 0, max: 100 });
    const c = { units: 'metric', currency: 'EUR', locale } as const;
    const typed = `${writePercent(0.065, locale)}\u202f%`;
    expect(readField(field, typed, c)).toEqual({ ok: true, value: 0.065 });
  });
});

describe('money', () => {
  it.each([
    ['1,234', 'EUR', 'en-GB', 123_400],
    ['12,500', 'EUR', 'en-GB', 1_250_000],
    ['¥1,500', 'JPY', 'en-GB', 1500],
    ['1,500', 'JPY', 'en-GB', 1500],
    ['€ 85', 'EUR', 'en-GB', 8500],
    ['85 EUR', 'EUR', 'de-DE', 8500],
    ['eur 85', 'EUR', 'de-DE', 8500],
    ['-€5', 'EUR', 'en-GB', -500],
    ['12.–', 'CHF', 'de-CH', 1200],
    ['12,-', 'EUR', 'de-DE', 1200],
    ['120 kr', 'SEK', 'sv-SE', 12_000],
    ['1.500', 'KWD', 'en-GB', 1500],
    ['1.5', 'KWD', 'en-GB', 1500],
    ['85.5000', 'EUR', 'en-GB', 8550],
    // Swiss prices are written with a point in French, too.
    ['1234.50', 'CHF', 'fr-CH', 123_450],
  ])('%p in %s, %s is %d', (typed, currency, locale, amount) =>
    expect(readMoney(typed, currency, locale)).toBe(amount),
  );

  it.each([
    ['1.234', 'EUR', 'en-GB', ['?', 123_400]],
    ['1,234', 'EUR', 'de-DE', ['?', 123_400]],
    ['12,5', 'EUR', 'en-GB', ['?', 1250]],
    ['1.234,50', 'EUR', 'en-GB', ['?', 123_450]],
    ['1.239', 'EUR', 'sv-SE', ['?', 123_900]],
    ['85.501', 'KWD', 'sv-SE', ['?', 85_501, 85_501_000]],
    ['1.2345', 'EUR', 'en-GB', 'EUR has 2 decimal places'],
    ['1.5', 'JPY', 'en-GB', 'JPY has no decimal places'],
    ['$12', 'EUR', 'en-GB', 'amounts are in EUR here'],
    ['12 USD', 'EUR', 'en-GB', 'amounts are in EUR here'],
    ['much', 'EUR', 'en-GB', null],
    ['12 apples', 'EUR', 'en-GB', null],
  ])('%p in %s, %s is not guessed', (typed, currency, locale, what) =>
    expect(said(readMoney(typed, currency, locale))).toEqual(what),
  );

  it('keeps as many decimal places as the currency has', () => {
    expect(['EUR', 'JPY', 'KWD'].map(currencyDigits)).toEqual([2, 0, 3]);
    expect(formatAmount(minor(1500), 'KWD', 'en-GB')).toBe('1.500');
    expect(formatAmount(minor(1500), 'JPY', 'en-GB')).toBe('1,500');
  });
});

describe('lengths', () => {
  it.each([
    ['12in', 304.8],
    ['7 1/2"', 190.5],
    ['13 1/3 in', 338.666667],
    ['30 cm', 300],
    ['1.2 m', 1200],
    ['2 ft', 609.6],
    ['300', 300],
    ['29.7 CM', 297],
    ['３０ cm', 300],
  ])('%p is %d mm', (typed, value) =>
    expect(readLength(typed, 'metric', 'en-GB')).toBeCloseTo(value, 6),
  );

  it('without a unit the mode decides, with one it does not', () => {
    expect(readLength('10', 'inch', 'en-GB')).toBeCloseTo(254, 9);
    expect(readLength('10 mm', 'inch', 'en-GB')).toBe(mm(10));
    expect(readLength('10 furlongs', 'metric', 'en-GB')).toBeNull();
    expect(said(readLength('29,7 cm', 'metric', 'en-GB'))).toEqual(['?', 297]);
  });

  it('writes inches where they are exact, millimetres where they are not', () => {
    expect(writeLength(mm(304.8), 'inch', 'en-GB')).toBe('12 in');
    expect(writeLength(mm(300), 'inch', 'en-GB')).toBe('300 mm');
    expect(writeLength(mm(12.5), 'metric', 'de-DE')).toBe('12,5 mm');
  });

  it('asks of a size whose edges are written as elsewhere', () => {
    expect(readSize('29,7 x 42 cm', 'metric', 'de-DE')).toMatchObject({ width: 297 });
    const asked = readSize('29,7 x 42 cm', 'metric', 'en-GB') as Undecided<unknown>;
    expect(asked.readings).toEqual([{ width: 297, height: 420, unit: 'cm' }]);
  });
});

describe('one field by itself', () => {
  const c = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
  const field = length('Width', { above: 0, max: 900 });

  it('says what is not right', () => {
    expect(readField(field, '12in', c)).toEqual({ ok: true, value: 304.8 });
    expect(readField(field, '2 m', c)).toMatchObject({
      fault: expect.stringMatching(/^Width: .* is too much/),
    });
    expect(readField(field, ' ', c)).toMatchObject({
      fault: expect.stringMatching(/^Width: is empty/),
    });
    expect(readField(optional(field), ' ', c)).toEqual({ ok: true, value: null });
  });

  it('offers what it may be as it would be written here', () => {
    expect(readField(field, '12,5', c)).toEqual({
      ok: false,
      fault:
        'Width: “12,5” is not how figures are written here (Bench settings). If it is 12.5 mm, write that.',
      readings: ['12.5 mm'],
    });
    const price = money('Price', { min: 0 });
    expect(readField(price, '1.234', { ...c, locale: 'sv-SE', currency: 'KWD' })).toEqual({
      ok: false,
      fault: 'Price: “1.234” can be read in 2 ways, 1,234 or 1234,000. Pick one.',
      readings: ['1,234', '1234,000'],
    });
  });

  it('offers nothing beyond the limits, and whole numbers where those are meant', () => {
    const ppi = whole('Resolution', { min: 100, max: 1440 }, 'ppi');
    expect(readField(ppi, '1.200', c)).toMatchObject({ readings: ['1200'] });
    expect(readField(ppi, '300 ppi', c)).toEqual({ ok: true, value: 300 });
    const sigma = decimal('Radius', { min: 0.3, max: 20 }, 'px');
    const read = readField(sigma, '1.234', { ...c, locale: 'fr-FR' });
    expect(read).toMatchObject({ readings: ['1,234'] });
    expect(readWhole('2.5', 'en-GB')).toBe(2.5);
  });
});

it('reads text of an earlier version as that version did', () => {
  expect(numberTypedBefore('1,234')).toBe(1.234);
  expect(numberTypedBefore('7 1/2')).toBe(7.5);
  expect(numberTypedBefore('1e3')).toBeNull();
  expect(moneyTypedBefore('€ 1.234,50', 'EUR')).toBe(123_450);
  expect(lengthTypedBefore('29,7 CM', 'metric')).toBe(297);
});

it.each([
  ['350', 'metric', 'en-GB', 350],
  ['1.2 kg', 'metric', 'en-GB', 1200],
  ['1,2 kg', 'metric', 'de-DE', 1200],
  ['12 oz', 'metric', 'en-GB', 340.194278],
  ['12', 'inch', 'en-US', 340.194278],
  ['2 lb 3 oz', 'inch', 'en-US', 992.233309],
  ['2 lbs 3½ oz', 'inch', 'en-US', 1006.408071],
  ['1 lb', 'metric', 'en-GB', 453.59237],
  ['three oz', 'inch', 'en-US', null],
  ['2 lb 3', 'inch', 'en-US', null],
  ['12 st', 'inch', 'en-US', null],
  ['1,234 g', 'metric', 'de-CH', ['?', 1234, 1.234]],
] as const)('a mass of %p under %s in %s is %p g', (typed, mode, locale, grams) =>
  expect(said(readMass(typed, mode, locale))).toEqual(grams),
);

it.each([
  ['0.38', 'metric', 'en-GB', 0.38],
  ['15', 'inch', 'en-US', 0.381],
  ['15 mil', 'metric', 'en-GB', 0.381],
  ['0.015', 'inch', 'en-US', 0.381],
  ['0.015 in', 'metric', 'en-GB', 0.381],
  ['0,38 mm', 'inch', 'de-DE', 0.38],
  ['15 gsm', 'inch', 'en-US', null],
] as const)('a thickness of %p under %s in %s is %p mm', (typed, mode, locale, mm_) =>
  expect(said(readThickness(typed, mode, locale))).toEqual(mm_),
);

it('says limits of masses and thicknesses in the units of the bench', () => {
  const bench = { units: 'inch', currency: 'USD', locale: 'en-US' } as const;
  const fault = (read: ReturnType<typeof readField>) => (read.ok ? '' : read.fault);
  expect(fault(readField(mass('Weight', { above: 0, max: 1000 }), '3 lb', bench))).toMatch(
    /3\.00.lb is too much\. It must be 2\.20.lb or less/,
  );
  expect(fault(readField(thickness('Thickness', { max: 5 }), '6 mm', bench))).toMatch(
    /236\.2.mil is too much/,
  );
});
