import fc from 'fast-check';
import {
  D50,
  OPEN_DOOR,
  RGB_SPACES,
  WORKING_LUMINANCE,
  WORKING_WARMTH,
  carriedOf,
  carrierDoor,
  doorOf,
  encodedOfLight,
  iccProfile,
  lightOfEncoded,
  lightnessOf,
  readGreyProfile,
  readMatrixProfile,
} from '../../colour';
import { greyProfile } from '../../../../e2e/support/greyProfile';
import {
  chain,
  encoded,
  inWorking,
  intoWorking,
  lightened,
  resample,
  wholeOf,
  workingShaper,
} from '.';
import type { RowStep } from '.';
import { decodeLight, encodeLight } from './simd';

const lights = fc.double({ min: -40000, max: 120000, noNaN: true });

it('encodes light by its lightness, mirrored below black, and back', () => {
  fc.assert(
    fc.property(fc.array(lights, { minLength: 1, maxLength: 41 }), (values) => {
      const row = Float32Array.from(values);
      const out = new Float32Array(row.length);
      encodeLight(row, out);
      row.forEach((v, i) => {
        const wanted = encodedOfLight(v);
        expect(Math.abs(out[i]! - wanted)).toBeLessThan(0.03);
        if (v >= 0) expect(wanted / 655.35).toBeCloseTo(lightnessOf(v / 65535), 9);
        expect(encodedOfLight(-v)).toBeCloseTo(-wanted, 9);
        expect(65535 * lightOfEncoded(wanted)).toBeCloseTo(v, 6);
      });
      const back = new Float32Array(row.length);
      decodeLight(out, back);
      row.forEach((v, i) => expect(Math.abs(back[i]! - v)).toBeLessThan(0.06));
    }),
  );
});

const ROW = { width: 5, height: 1, channels: 3 };
const through = (steps: RowStep[], values: number[]) => {
  const out: number[] = [];
  const { take } = chain(steps, wholeOf(steps.at(-1)!.out), (row) => out.push(...row));
  take(Float32Array.from(values));
  return out;
};

it.each(Object.values(RGB_SPACES))(
  '$name: white comes in as white, grey as grey, and goes out as it was',
  (space) => {
    const profile = readMatrixProfile(iccProfile(space))!;
    const greys = [0, 3000, 20000, 50000, 65535];
    const tones = greys.flatMap((v) => [v, v, v]);
    const steps = [intoWorking(ROW, doorOf(profile), 3), encoded(ROW)];
    const made = through(steps, tones);
    greys.forEach((v, i) => {
      const [r, g, b] = made.slice(3 * i, 3 * i + 3) as [number, number, number];
      expect(Math.max(Math.abs(r - g), Math.abs(b - g))).toBeLessThan(2);
      expect(g / 655.35).toBeCloseTo(lightnessOf(profile.curves[1](v / 65535)), 2);
    });
    made.slice(12).forEach((v) => expect(v).toBeCloseTo(65535, 1));
    const out = new Uint16Array(15);
    workingShaper(profile)!(Float32Array.from(made), 3, out, 5);
    out.forEach((v, i) => expect(Math.abs(v - tones[i]!)).toBeLessThanOrEqual(2));
  },
);

it('a grey picture leaves with one channel, or with three that are alike', () => {
  const shape = { ...ROW, channels: 1 };
  const door = carrierDoor();
  const levels = [0, 100, 30000, 60000, 65535];
  const one = through([intoWorking(shape, door, 1)], levels);
  const three = through([intoWorking(shape, door, 3)], levels);
  expect(three).toEqual(one.flatMap((v) => [v, v, v]));
  one.forEach((v, i) => {
    expect(v).toBeCloseTo(65535 * (levels[i]! / 65535) ** 2, 1);
    expect(Math.trunc(carriedOf(v / 65535))).toBe(levels[i]);
  });
  const srgb = workingShaper(readMatrixProfile(iccProfile(RGB_SPACES.srgb))!)!;
  const [grey, colours] = [new Uint16Array(15), new Uint16Array(15)];
  srgb(Float32Array.from(one), 1, grey, 5);
  srgb(Float32Array.from(three), 3, colours, 5);
  grey.forEach((v, i) => expect(Math.abs(v - colours[i]!)).toBeLessThanOrEqual(1));
});

it('what is light already comes in as it is', () => {
  const light = [0, -20.5, 70000, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 65535];
  expect(through([intoWorking(ROW, OPEN_DOOR, 3)], light)).toEqual(light);
});

it('turns values into what the next step wants, and no more often', () => {
  const step = (light: boolean) => ({ rows: resampled, light });
  const resampled = resample(ROW, {
    kernel: 'linear',
    part: { left: 0, top: 0, width: 5, height: 1 },
    width: 5,
    height: 1,
  });
  const turns = (...lights: boolean[]) => inWorking(ROW, lights.map(step)).length;
  expect(turns()).toBe(1);
  expect(turns(false)).toBe(2);
  expect(turns(true)).toBe(2);
  expect(turns(false, false, true, true, false)).toBe(8);
  // In and out again is nothing.
  const tones = Array.from({ length: 15 }, (_, i) => 4000 * i + 17);
  through([encoded(ROW), lightened(ROW)], tones).forEach((v, i) =>
    expect(Math.abs(v - tones[i]!)).toBeLessThan(0.05),
  );
});

it('what a pixel means in the working space', () => {
  const [r, g, b] = WORKING_LUMINANCE;
  expect(r + g + b).toBeCloseTo(D50[1], 4);
  // Red and yellow go up, blue goes down, and the light hardly changes.
  const [wr, wg, wb] = WORKING_WARMTH;
  expect([wr > 0.3, Math.abs(wg) < 0.3, wb < -0.7]).toEqual([true, true, true]);
});

it('reads the curve of a grey profile, and of nothing else', () => {
  expect(readGreyProfile(greyProfile(2))!(0.5)).toBeCloseTo(0.25, 9);
  expect(readGreyProfile(iccProfile(RGB_SPACES.srgb))).toBeNull();
  const grey = greyProfile(2);
  expect(readGreyProfile(grey.slice(0, 150))).toBeNull();
  grey.set([76, 97, 98, 32], 20);
  expect(readGreyProfile(grey)).toBeNull();
});
