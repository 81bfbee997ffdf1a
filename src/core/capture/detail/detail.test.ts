import { enlarged } from '../../../../bench/enlarge';
import type { Kernel } from '../../../../bench/enlarge';
import { deadLeaves, plain, withNoise } from '../../../../e2e/support/pictures';
import { readPicture } from '../reading';
import { Spectrograph, periodsOf } from '.';

const detailOf = (picture: ReturnType<typeof plain>) =>
  readPicture({ ...picture, channels: 3 }).detail;

const SIDE = 1100;
const bases = new Map<number, ReturnType<typeof plain>>();
const leaves = (side: number) => {
  const made = bases.get(side) ?? deadLeaves(side, 11);
  bases.set(side, made);
  return made;
};

it.each([SIDE, 1050])(
  'calls leaves that are sharp to the pixel sharp: %d a side',
  (side) => {
    const found = detailOf(leaves(side));
    expect(found).toMatchObject({ fraction: 1, because: 'sharp' });
    expect(found.confidence).toBeGreaterThan(0.6);
    expect(found.curve).toHaveLength(128);
  },
);

const ENLARGED: [number, Kernel][] = [
  [1.25, 'lanczos3'],
  [1.37, 'bicubic'],
  [1.5, 'linear'],
  [2, 'linear'],
  [2, 'lanczos3'],
  [3, 'bicubic'],
];

it.each(ENLARGED)('finds that leaves were enlarged %d times, %s', (factor, kernel) => {
  const { fraction } = detailOf(
    enlarged(leaves(Math.round(SIDE / factor)), factor, kernel),
  );
  expect(fraction).not.toBeNull();
  expect(Math.abs(fraction! * factor - 1)).toBeLessThan(0.2);
});

describe('says that it cannot tell', () => {
  it('of a flat grey', () =>
    expect(detailOf(plain(700, 700, 128))).toMatchObject({
      fraction: null,
      because: 'flat',
    }));
  it('of nothing but noise', () =>
    expect(detailOf(withNoise(plain(700, 700, 128), 9))).toMatchObject({
      fraction: null,
      because: 'noise',
    }));
  it('of a fog, a slow ramp with a little grain', () => {
    const fog = plain(700, 700, 0);
    for (let i = 0; i < fog.data.length; i += 1)
      fog.data[i] = (150 + 40 * Math.sin(Math.floor(i / 3 / 700) / 260)) * 257;
    expect(detailOf(withNoise(fog, 0.6)).fraction).toBeNull();
  });
  it('when noise lies over an enlargement', () =>
    expect(
      detailOf(withNoise(enlarged(leaves(550), 2, 'bicubic'), 12)).fraction,
    ).toBeNull());
  it('of what is smaller than a tile', () =>
    expect(detailOf(plain(40, 3000, 90))).toMatchObject({
      fraction: null,
      because: 'small',
    }));
});

it('gives white noise of variance v a level spectrum of v', () => {
  const side = 256;
  const tile = new Float32Array(side * side);
  const noise = withNoise(plain(side, side, 128), 3);
  for (let i = 0; i < tile.length; i += 1) tile[i] = noise.data[3 * i]! / 257;
  const { rows, columns } = new Spectrograph(side).of(tile);
  const mean = (power: Float64Array) =>
    power.slice(4, -4).reduce((a, b) => a + b, 0) / (power.length - 8);
  expect(mean(rows)).toBeCloseTo(9, 0);
  expect(mean(columns)).toBeCloseTo(9, 0);
});

it('finds the period in a profile, and none where there is none', () => {
  const noise = withNoise(plain(3000, 1, 100), 4);
  const profile = (period: number) =>
    Float64Array.from(
      { length: 3000 },
      (_, i) => noise.data[3 * i]! + 300 * Math.cos((2 * Math.PI * i) / period),
    );
  const { step, strength } = periodsOf(profile(5))!;
  const highest = strength.indexOf(Math.max(...strength));
  expect(highest * step).toBeCloseTo(0.2, 3);
  expect(Math.max(...periodsOf(profile(Infinity))!.strength)).toBeLessThan(6);
  expect(periodsOf(new Float64Array(50))).toBeNull();
});
