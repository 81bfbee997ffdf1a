import fc from 'fast-check';
import * as input from '../input';
import * as u from '.';

describe('quantities', () => {
  it('keep their unit: a wrong sum does not compile', () => {
    const width = u.mm(300);
    const height = u.inches(12);
    // @ts-expect-error millimetres and inches have no sum
    u.sum(width, height);
    // @ts-expect-error a bare sum has lost its unit
    const lost: u.Millimetres = width + width;
    // @ts-expect-error money is not a mass
    const mass: u.Grams = u.minor(100);
    // @ts-expect-error grams are not ppi
    u.minus(u.ppi(300), u.grams(20));
    expect([lost, mass]).toEqual([600, 100]);
    expect(u.sum(width, u.toMillimetres(height))).toBeCloseTo(604.8);
  });

  it('turn a size the way the picture lies', () => {
    expect(u.turnedLike(u.size(500, 700), { width: 3, height: 2 })).toEqual(
      u.size(700, 500),
    );
    expect(u.turnedLike(u.size(500, 700), { width: 1, height: 1 })).toEqual(
      u.size(500, 700),
    );
  });
});

describe('parseLength', () => {
  it.each([
    ['12in', 'metric', 304.8],
    ['30 cm', 'inch', 300],
    ['300', 'metric', 300],
    ['12', 'inch', 304.8],
    ['7 1/2"', 'metric', 190.5],
    ['1,5 m', 'metric', 1500],
    ['0', 'metric', 0],
  ] as const)('reads %s in %s mode', (text, mode, expected) => {
    expect(input.parseLength(text, mode)).toBeCloseTo(expected, 9);
  });

  it.each(['', 'wide', '12 stone', '1/0', '--3'])('refuses %p', (text) => {
    expect(input.parseLength(text, 'metric')).toBeNull();
  });

  it('reads back what it wrote, in either mode', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99999 }), (tenths) => {
        const written = u.formatLength(u.mm(tenths / 10), 'metric', 'de-DE');
        const read = input.parseLength(written, 'inch');
        expect(read).not.toBeNull();
        expect(Math.abs((read ?? 0) - tenths / 10)).toBeLessThanOrEqual(0.5);
      }),
    );
  });
});

describe('money', () => {
  it('reads either decimal mark and keeps whole minor units', () => {
    expect(input.parseMoney('1.234,50', 'EUR')).toBe(123450);
    expect(input.parseMoney('€ 85', 'EUR')).toBe(8500);
    expect(input.parseMoney('1,234.50', 'EUR')).toBe(123450);
    expect(input.parseMoney('85', 'JPY')).toBe(85);
    expect(input.parseMoney('much', 'EUR')).toBeNull();
  });
  it('writes it back', () => {
    expect(u.formatMoney(u.minor(8500), 'EUR', 'en-GB')).toBe('€85.00');
    expect(u.formatAmount(u.minor(8550), 'EUR', 'en-GB')).toBe('85.50');
  });
});

it('writes lengths, distances and masses with their unit', () => {
  expect(u.formatLength(u.mm(500), 'metric', 'en-GB')).toBe(`500${u.THIN}mm`);
  expect(u.formatLength(u.mm(508), 'inch', 'en-GB')).toBe(`20${u.THIN}in`);
  expect(u.formatDistance(u.mm(1290), 'metric', 'en-GB')).toBe(`1.3${u.THIN}m`);
  expect(u.formatDistance(u.mm(210), 'metric', 'en-GB')).toBe(`21${u.THIN}cm`);
  expect(u.formatSize(u.size(500, 700), 'metric', 'en-GB')).toBe(`50 × 70${u.THIN}cm`);
  expect(u.formatMass(612, 'en-GB')).toBe(`612${u.THIN}g`);
  expect(u.formatMass(1240, 'en-GB')).toBe(`1.24${u.THIN}kg`);
});
