import { readSize } from '../input';
import type { SizeRead } from '../input';
import fc from 'fast-check';
import { size } from '../units';
import {
  FAMILIES,
  FAMILY_IDS,
  SIZE_RULES,
  STANDARD_SIZES,
  judgedNow,
  nearestRatios,
  nominalDemand,
  nominalSize,
  ownSize,
  ownSizeFault,
  ownSizeKey,
  plainLayout,
  ratioName,
  reopened,
  rung,
  sizesOf,
} from '.';
import type { JudgedThen } from '.';
import { mm } from '../units';

it.each([
  [[210, 297], '1:√2'],
  [[148, 210], '1:√2'],
  [[1189, 841], '1:√2'],
  [[500, 700], '5:7'],
  [[400, 500], '4:5'],
  [[8 * 25.4, 10 * 25.4], '4:5'],
  [[600, 800], '3:4'],
  [[24, 36], '2:3'],
  [[11, 14], '11:14'],
  [[13, 18], '13:18'],
  [[300, 300], '1:1'],
  [[100, 244.9], '1:2.449'],
] as const)('%p is %s', ([width, height], name) =>
  expect(ratioName({ width, height })).toBe(name),
);

it('a ratio is named alike whichever way it lies, and whatever the unit', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 5000 }),
      fc.integer({ min: 20, max: 5000 }),
      (width, height) => {
        const name = ratioName({ width, height });
        expect(ratioName({ width: height, height: width })).toBe(name);
        expect(ratioName({ width: width * 25.4, height: height * 25.4 })).toBe(name);
      },
    ),
  ));

it('every family is upright, grows, and is found again by its keys', () => {
  for (const id of FAMILY_IDS)
    for (const s of FAMILIES[id]) {
      expect(s.width).toBeLessThanOrEqual(s.height);
      expect(nominalSize(s.key)).toBe(s);
    }
  const all = sizesOf(FAMILY_IDS, ['own-42x60cm']);
  expect(all).toHaveLength(STANDARD_SIZES.length);
  const areas = sizesOf([...FAMILY_IDS, 'own'], ['own-42x60cm']).map(
    (s) => s.width * s.height,
  );
  expect(areas).toEqual([...areas].sort((a, b) => a - b));
  expect(areas).toHaveLength(STANDARD_SIZES.length + 1);
  // 24 x 36 in is a frame size and 2:3 at once, and stands on the ladder once.
  expect(
    sizesOf(['inchFrames', 'twoByThree']).filter((s) => s.label === '24 × 36 in'),
  ).toHaveLength(1);
});

describe('sizes of one’s own', () => {
  it.each([
    ['40 x 50 cm', 'metric', [400, 500, 'cm']],
    ['50x40', 'metric', [500, 400, 'cm']],
    ['16 × 20 in', 'metric', [406.4, 508, 'in']],
    ['16x20in', 'metric', [406.4, 508, 'in']],
    ['9 1/2 x 12', 'inch', [241.3, 304.8, 'in']],
    ['400*500mm', 'inch', [400, 500, 'mm']],
    ['40 cm x 20 in', 'metric', [400, 508, 'mm']],
    ['40.5 x 50 cm', 'metric', [405, 500, 'cm']],
    ['16" x 20"', 'metric', [406.4, 508, 'in']],
    ['1 m x 1.4 m', 'metric', [1000, 1400, 'cm']],
  ] as const)('%p in %s is read', (typed, mode, [width, height, unit]) => {
    const read = readSize(typed, mode, 'en-GB') as SizeRead;
    expect(read.width).toBeCloseTo(width, 6);
    expect(read.height).toBeCloseTo(height, 6);
    expect(read.unit).toBe(unit);
  });
  it.each(['', '40', 'x 50', '40 x', 'forty x fifty', '40 x 50 x 60', '40 x 50 stone'])(
    '%p is no size',
    (typed) => expect(readSize(typed, 'metric', 'en-GB')).toBeNull(),
  );
  it.each([
    [0, 500, 'small'],
    [-300, 400, 'small'],
    [10, 300, 'small'],
    [10_000_000, 10_000_000, 'large'],
    [100, 1001, 'strip'],
    [100, 1000, null],
    [400, 500, null],
    [NaN, 500, 'small'],
  ] as const)('%d by %d mm: %s', (w, h, fault) => expect(ownSizeFault(w, h)).toBe(fault));
  it('say all of themselves in their key', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 20_000 }),
        fc.integer({ min: 200, max: 20_000 }),
        fc.constantFrom('mm' as const, 'cm' as const),
        (a, b, unit) => {
          const [w, h] = [a / 10, b / 10];
          if (ownSizeFault(w, h)) return;
          const key = ownSizeKey(unit === 'mm' ? Math.round(w) : w, h, unit);
          const found = ownSize(key)!;
          expect(found.family).toBe('own');
          expect(found.width).toBeLessThanOrEqual(found.height);
          expect(found.height).toBeCloseTo(
            Math.max(unit === 'mm' ? Math.round(w) : w, h),
            unit === 'mm' ? -1 : 6,
          );
          expect(ownSizeKey(found.width, found.height, unit)).toBe(key);
        },
      ),
    ));
  it.each(['own-0x50cm', 'own-50x40cm', 'own-1e9x2cm', 'own-40x50', 'own-x', 'isoA-A99'])(
    '%p names none',
    (key) => expect(nominalSize(key)).toBeUndefined(),
  );
});

it('finds the nearest ratios by the logarithm, and what each costs', () => {
  const near = nearestRatios(STANDARD_SIZES, 3 / 4);
  expect(near[0]).toMatchObject({ name: '3:4', cropShare: 0, whiteShare: 0 });
  for (let i = 1; i < near.length; i += 1)
    expect(near[i]!.distance).toBeGreaterThanOrEqual(near[i - 1]!.distance);
  const fourFive = near.find((n) => n.name === '4:5')!;
  expect(fourFive.distance).toBeCloseTo(Math.log(0.8 / 0.75), 12);
  // Cropping to fill loses 1 - 0.75 / 0.8 of the picture; kept whole, as much paper stays white.
  expect(fourFive.cropShare).toBeCloseTo(0.0625, 12);
  expect(fourFive.whiteShare).toBeCloseTo(0.0625, 12);
  // A landscape picture has the same neighbours.
  expect(nearestRatios(STANDARD_SIZES, 4 / 3).map((n) => n.name)).toEqual(
    near.map((n) => n.name),
  );
});

it('asks 300 ppi of small prints, 200 of large ones, or what the route says', () => {
  expect(nominalDemand(size(297, 420), SIZE_RULES)).toBe(300);
  expect(nominalDemand(size(500, 700), SIZE_RULES)).toBe(200);
  expect(nominalDemand(size(500, 700), { ...SIZE_RULES, routePpi: 240 })).toBe(240);
});

describe('a decision is open again', () => {
  const at = (width: number, masterId: number): JudgedThen =>
    judgedNow(
      rung(
        nominalSize('metricFrames-50x70')!,
        { width, height: (width * 4) / 3 },
        plainLayout('within', mm(20)),
        SIZE_RULES,
      )!.judgement,
      masterId,
    );
  const good = at(7000, 1);
  it('when a newer master changes the verdict of what is on offer', () => {
    expect(reopened('offered', good, at(2000, 2))).toMatchObject({
      better: false,
      because: 'master',
    });
    expect(reopened('offered', at(2000, 1), at(7000, 2))).toMatchObject({ better: true });
  });
  it('or a crop or a rule does', () =>
    expect(reopened('offered', good, { ...at(2000, 1) })).toMatchObject({
      because: 'cropOrRules',
    }));
  it('but not when it stays what it was, or nothing was judged then', () => {
    expect(reopened('offered', good, at(6900, 2))).toBeNull();
    expect(reopened('offered', null, good)).toBeNull();
  });
  it('and a withdrawn one only when it fell short then and would pass now', () => {
    const short = at(1200, 1);
    expect(short.advice).toBe('withdraw');
    expect(reopened('withdrawn', short, at(7000, 2))).toMatchObject({ better: true });
    expect(reopened('withdrawn', good, short)).toBeNull();
    expect(reopened('withdrawn', good, at(3000, 2))).toBeNull();
  });
});
