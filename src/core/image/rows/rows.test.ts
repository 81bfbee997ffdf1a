import fc from 'fast-check';
import { KERNELS, KERNEL_IDS, gaussian } from '../kernels';
import { OWN_NUMBERS, adjust, chain, denoise, resample, sharpen, wholeOf } from '.';
import type { Adjustment, Box, RowStep, Shape, Sharpening } from '.';

const sharpened = (shape: Shape, by: Sharpening) => sharpen(shape, by, OWN_NUMBERS.light);
const adjusted = (shape: Shape, by: Adjustment) => adjust(shape, by, OWN_NUMBERS);

/** A made-up picture of so many pixels, the same every time. */
function picture({ width, height, channels }: Shape): Float32Array {
  const out = new Float32Array(width * height * channels);
  for (let i = 0; i < out.length; i += 1) {
    const wild = Math.sin(i * 12.9898) * 43758.5453;
    out[i] = 65535 * (wild - Math.floor(wild));
  }
  return out;
}

/** A part of what comes out of some steps. */
function made(source: Float32Array, shape: Shape, steps: RowStep[], box: Box): number[] {
  const out: number[] = [];
  const { fed, take } = chain(steps, box, (row) => out.push(...row));
  for (let y = fed.top; y < fed.bottom; y += 1) {
    const at = (y * shape.width + fed.left) * shape.channels;
    take(source.slice(at, at + (fed.right - fed.left) * shape.channels));
  }
  return out;
}

const shape: Shape = { width: 41, height: 37, channels: 3 };
const all = (): RowStep[] => {
  const first = denoise(shape, { noise: 70, grain: 40 });
  const second = sharpened(first.out, { amount: 120, radius: 1.1, threshold: 3 });
  const third = adjusted(second.out, {
    lightness: 12,
    contrast: 20,
    warmth: -9,
    saturation: 15,
  });
  const part = { left: 2.3, top: 1.7, width: 33.1, height: 30.2 };
  const fourth = resample(third.out, { kernel: 'lanczos3', part, width: 57, height: 44 });
  return [
    first,
    second,
    third,
    fourth,
    sharpened(fourth.out, { amount: 60, radius: 0.8, threshold: 2 }),
  ];
};

it('any part is the same as that part of the whole, to the last bit', () => {
  const source = picture(shape);
  const steps = all();
  const { out } = steps.at(-1)!;
  const whole = made(source, shape, steps, wholeOf(out));
  expect(whole).toHaveLength(out.width * out.height * 3);
  const edge = (most: number) => fc.integer({ min: 0, max: most });
  fc.assert(
    fc.property(edge(56), edge(56), edge(43), edge(43), (x0, x1, y0, y1) => {
      const box = {
        left: Math.min(x0, x1),
        right: Math.max(x0, x1) + 1,
        top: Math.min(y0, y1),
        bottom: Math.max(y0, y1) + 1,
      };
      const rows: number[] = [];
      for (let y = box.top; y < box.bottom; y += 1)
        rows.push(...whole.slice((y * 57 + box.left) * 3, (y * 57 + box.right) * 3));
      expect(made(source, shape, steps, box)).toEqual(rows);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

it.each(KERNEL_IDS)('%s equals its definition, computed directly', (kernel) => {
  const small = { width: 9, height: 8, channels: 1 };
  const source = picture(small);
  const { reach, weight } = KERNELS[kernel];
  for (const [width, height] of [
    [14, 11],
    [5, 3],
  ] as const) {
    const part = { left: 0, top: 0, width: 9, height: 8 };
    const got = made(source, small, [resample(small, { kernel, part, width, height })], {
      left: 0,
      top: 0,
      right: width,
      bottom: height,
    });
    const axis = (i: number, from: number, to: number) => {
      const step = from / to;
      const stretch = Math.max(1, step);
      const centre = (i + 0.5) * step - 0.5;
      const taps: [number, number][] = [];
      for (let j = -40; j < 60; j += 1)
        if (Math.abs(j - centre) <= reach * stretch)
          taps.push([Math.min(from - 1, Math.max(0, j)), weight((j - centre) / stretch)]);
      const total = taps.reduce((t, [, w]) => t + w, 0);
      return taps.map(([j, w]) => [j, w / total] as const);
    };
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) {
        let v = 0;
        for (const [sy, wy] of axis(y, 8, height))
          for (const [sx, wx] of axis(x, 9, width)) v += wy * wx * source[sy * 9 + sx]!;
        expect(got[y * width + x]! / 65535).toBeCloseTo(v / 65535, 5);
      }
  }
});

it('the cubic kernels are those of their authors', () => {
  // Keys: 9/16 half way to the next pixel, -1/16 half way beyond it.
  expect(KERNELS.bicubic.weight(0.5)).toBeCloseTo(9 / 16, 12);
  expect(KERNELS.bicubic.weight(1.5)).toBeCloseTo(-1 / 16, 12);
  expect(KERNELS.mitchell.weight(0)).toBeCloseTo(8 / 9, 12);
  expect(KERNELS.mitchell.weight(1)).toBeCloseTo(1 / 18, 12);
});

describe('sharpening', () => {
  const flat = { width: 40, height: 9, channels: 1 };
  const edge = Float32Array.from({ length: 360 }, (_, i) => (i % 40 < 20 ? 10000 : 50000));
  const weights = gaussian(1);
  const blurred = (x: number) =>
    weights.reduce((t, w, k) => t + w * edge[Math.min(39, Math.max(0, x + k - 3))]!, 0);

  it('is sample + amount x difference, wherever the difference exceeds the threshold', () => {
    for (const [amount, threshold] of [
      [100, 0],
      [250, 0],
      [100, 30],
    ] as const) {
      const step = sharpened(flat, { amount, radius: 1, threshold });
      const got = made(edge, flat, [step], wholeOf(flat));
      for (let x = 0; x < 40; x += 1) {
        const difference = edge[x]! - blurred(x);
        const change =
          Math.abs(difference) > threshold * 257 ? difference * (amount / 100) : 0;
        for (const y of [0, 4, 8])
          expect(Math.abs(got[y * 40 + x]! - (edge[x]! + change))).toBeLessThan(0.05);
      }
    }
  });

  it('moves the channels of a pixel together', () => {
    const small = { width: 12, height: 5, channels: 3 };
    const source = picture(small);
    const got = made(
      source,
      small,
      [sharpened(small, { amount: 80, radius: 0.7, threshold: 0 })],
      wholeOf(small),
    );
    for (let i = 0; i < got.length; i += 3) {
      expect(got[i]! - source[i]!).toBeCloseTo(got[i + 1]! - source[i + 1]!, 1);
      expect(got[i]! - source[i]!).toBeCloseTo(got[i + 2]! - source[i + 2]!, 1);
    }
  });
});

it('takes grain out of a plain part and leaves an edge', () => {
  const flat = { width: 60, height: 30, channels: 1 };
  const noise = picture(flat);
  // Grain of 4 of 255 about two tones.
  const source = noise.map(
    (v, i) => (i % 60 < 30 ? 20000 : 45000) + (v / 65535 - 0.5) * 3562,
  );
  const spread = (values: number[]) => {
    const mean = values.reduce((a, b) => a + b) / values.length;
    return Math.sqrt(values.reduce((t, v) => t + (v - mean) ** 2, 0) / values.length);
  };
  const got = made([...source] as never as Float32Array, flat, [], wholeOf(flat));
  const cleaned = made(
    source,
    flat,
    [denoise(flat, { noise: 100, grain: 4 })],
    wholeOf(flat),
  );
  const plain = (values: number[]) =>
    spread(values.filter((_, i) => i % 60 > 4 && i % 60 < 25));
  expect(plain(cleaned)).toBeLessThan(0.45 * plain(got));
  const step = (values: number[]) => values[15 * 60 + 31]! - values[15 * 60 + 28]!;
  expect(step(cleaned)).toBeGreaterThan(0.9 * step(got));
  // Half the strength goes half the way.
  const half = made(source, flat, [denoise(flat, { noise: 50, grain: 4 })], wholeOf(flat));
  half.forEach((v, i) => expect(v).toBeCloseTo((got[i]! + cleaned[i]!) / 2, 1));
});

describe('adjusting', () => {
  const one = { width: 5, height: 1, channels: 3 };
  const tones = Float32Array.of(
    0,
    0,
    0,
    65535,
    65535,
    65535,
    32768,
    32768,
    32768,
    50000,
    20000,
    9000,
    12000,
    12000,
    12000,
  );
  const none = { lightness: 0, contrast: 0, warmth: 0, saturation: 0 };
  const got = (over: Partial<typeof none>) =>
    made(tones, one, [adjusted(one, { ...none, ...over })], wholeOf(one));

  it('leaves alone what is not asked for', () =>
    got({}).forEach((v, i) => expect(v).toBeCloseTo(tones[i]!, 0)));

  it.each([
    { lightness: 60 },
    { contrast: 80 },
    { warmth: 50 },
    { saturation: 70 },
    { lightness: -60 },
  ])('%j keeps black and white', (over) => {
    const out = got(over);
    out.slice(0, 3).forEach((v) => expect(v).toBeCloseTo(0, 1));
    out.slice(3, 6).forEach((v) => expect(v).toBeCloseTo(65535, 0));
  });

  it('does to a middle grey what its name says', () => {
    const grey = (over: Partial<typeof none>) => got(over).slice(6, 9);
    expect(grey({ lightness: 100 })[0]).toBeCloseTo(65535 * Math.sqrt(32768 / 65535), -1);
    expect(grey({ lightness: -20 })[0]).toBeLessThan(32768);
    const [r, g, b] = grey({ warmth: 40 });
    expect(r).toBeGreaterThan(g!);
    expect(b).toBeLessThan(g!);
    expect(got({ contrast: 50 })[12]).toBeLessThan(12000);
  });

  it('saturation moves away from the light, and all the way down is grey', () => {
    const [r, g, b] = got({ saturation: -100 }).slice(9, 12);
    expect(r).toBeCloseTo(0.25 * 50000 + 0.6 * 20000 + 0.15 * 9000, -1);
    expect([g, b].map((v) => Math.round(v!))).toEqual([Math.round(r!), Math.round(r!)]);
  });
});
