import fc from 'fast-check';
import { plain, withNoise } from '../../../../e2e/support/pictures';
import {
  TONE_BINS,
  ToneCounter,
  coarser,
  countNoise,
  joinTones,
  linearBins,
  noNoise,
  readNoise,
  readTone,
  toneAt,
} from '.';

function toneOf(values: number[]) {
  const counter = new ToneCounter(1);
  counter.add(Uint16Array.from(values), 0, values.length);
  return readTone(counter.counts());
}

it('counts what is clipped at either end, in 8 and in 16 bits', () => {
  const tone = toneOf([0, 127, 128, 257, 30000, 65535, 65535, 65278]);
  expect(tone.clipped.low[0]).toBeCloseTo(2 / 8);
  expect(tone.clipped.high[0]).toBeCloseTo(2 / 8);
});

it('tells the lightest paper and the darkest tone', () => {
  const values = Array.from({ length: 4000 }, (_, i) => 6554 + (i / 4000) * 53084);
  const { black, white } = toneOf(values);
  expect(black[0]).toBeCloseTo(0.1, 2);
  expect(white[0]).toBeCloseTo(0.91, 2);
});

it('adds the counts of two parts', () => {
  const one = new ToneCounter(3);
  const other = new ToneCounter(3);
  const both = new ToneCounter(3);
  const samples = Uint16Array.from({ length: 60 }, (_, i) => i * 1000);
  one.add(samples, 0, 9);
  other.add(samples, 9, 20);
  both.add(samples, 0, 20);
  expect(joinTones(one.counts(), other.counts())).toEqual(both.counts());
});

it('keeps every count on the way to linear light and to fewer bins', () =>
  fc.assert(
    fc.property(
      fc.array(fc.nat(1000), { minLength: TONE_BINS, maxLength: TONE_BINS }),
      fc.double({ min: 1, max: 3, noNaN: true }),
      (bins, gamma) => {
        const curve = Float64Array.from(
          { length: TONE_BINS },
          (_, i) => (i / (TONE_BINS - 1)) ** gamma,
        );
        const all = bins.reduce((a, b) => a + b, 0);
        const linear = linearBins(bins, curve, 256);
        expect(linear.reduce((a, b) => a + b, 0)).toBeCloseTo(all, 3);
        expect(coarser(bins, 256).reduce((a, b) => a + b, 0)).toBe(all);
      },
    ),
    { numRuns: 30 },
  ));

it('puts middle grey where its light is', () => {
  const bins = new Array<number>(TONE_BINS).fill(0);
  bins[512] = 100;
  const curve = Float64Array.from({ length: TONE_BINS }, (_, i) => (i / 1023) ** 2);
  const linear = linearBins(bins, curve, 100);
  expect(linear.indexOf(Math.max(...linear))).toBe(25);
});

it.each([0.4, 1, 3, 8])('measures noise of %d to a tenth', (deviation) => {
  const { width, height, data } = withNoise(plain(640, 640, 120), deviation);
  const counts = noNoise();
  const box = { left: 0, top: 0, right: width, bottom: height, stride: width, step: 1 };
  // One channel alone: the light of three is quieter than each of them.
  const grey = Uint16Array.from({ length: width * height }, (_, i) => data[3 * i]!);
  countNoise(counts, grey, 1, box);
  const { overall, bands } = readNoise(counts);
  expect(Math.abs(overall! / deviation - 1)).toBeLessThan(0.12);
  expect(bands[3]).toBeCloseTo(overall!, 1);
  expect(bands[0]).toBeNull();
});

it('finds the tone under which a share lies', () => {
  expect(toneAt([10, 0, 10], 0.5)).toBeCloseTo(1 / 3);
  expect(toneAt([0, 4], 0.25)).toBeCloseTo(0.625);
});
