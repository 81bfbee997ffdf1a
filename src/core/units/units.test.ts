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

describe('money', () => {
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
  expect(u.formatMass(612, 'metric', 'en-GB')).toBe(`612${u.THIN}g`);
  expect(u.formatMass(1240, 'metric', 'en-GB')).toBe(`1.24${u.THIN}kg`);
});
