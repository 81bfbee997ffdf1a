import { plain, withNoise } from '../../../../e2e/support/pictures';
import { BlockPixels } from '../reading/blockPixels';
import { findCandidates } from './candidates';
import { halved, smoothAt } from './grey';
import type { Grey } from './grey';
import { surroundOf } from './surround';

/** A noisy grey picture. */
function grey(width: number, height: number, light = 120, noise = 6): Grey {
  const { data } = withNoise(plain(width, height, light), noise);
  const bytes = new Uint8Array(width * height);
  for (let i = 0; i < bytes.length; i += 1) bytes[i] = data[3 * i]! >> 8;
  return { width, height, data: bytes };
}
const room = ({ data }: Grey) => new Uint8Array(data.length);
const at = ({ width, data }: Grey, x: number, y: number) => data[y * width + x]!;

/** Weighted mean of the pixels around a place. */
function mean(g: Grey, x: number, y: number, weights: number[]): number {
  const reach = (weights.length - 1) / 2;
  let sum = 0;
  let all = 0;
  weights.forEach((down, j) =>
    weights.forEach((across, i) => {
      sum += down * across * at(g, x + i - reach, y + j - reach);
      all += down * across;
    }),
  );
  return sum / all;
}

it('smooths a pixel by 1 2 1 both ways', () => {
  const g = grey(20, 15);
  for (const [x, y] of [
    [1, 1],
    [9, 6],
    [18, 13],
  ] as const)
    expect(
      Math.abs(smoothAt(g, y * g.width + x) - mean(g, x, y, [1, 2, 1])),
    ).toBeLessThanOrEqual(0.5);
});

it('halves by means of four, without an odd last row and column', () => {
  const g = grey(21, 15);
  const half = halved(g, room(g));
  expect([half.width, half.height]).toEqual([10, 7]);
  for (let y = 0; y < 7; y += 1)
    for (let x = 0; x < 10; x += 1) {
      const four = [0, 1].flatMap((j) => [0, 1].map((i) => at(g, 2 * x + i, 2 * y + j)));
      const exact = four.reduce((a, b) => a + b) / 4;
      expect(Math.abs(at(half, x, y) - exact)).toBeLessThanOrEqual(0.5);
    }
});

it('takes the surround as the plain mean of seven by seven', () => {
  const half = grey(40, 31);
  const surround = surroundOf(half, room(half));
  for (let y = 3; y < half.height - 3; y += 1)
    for (let x = 3; x < half.width - 3; x += 1) {
      const exact = mean(half, x, y, [1, 1, 1, 1, 1, 1, 1]);
      expect(Math.abs(at(surround, x, y) - exact)).toBeLessThan(0.55);
    }
});

it('finds the one peak that was put in, dark or light, and none in noise alone', () => {
  const found = (level: Grey) => {
    const half = halved(level, room(level));
    return findCandidates({ level, half, surround: surroundOf(half, room(half)) });
  };
  expect(found(grey(256, 192, 120, 2)).candidates).toEqual([]);
  for (const sign of [1, -1]) {
    const level = grey(256, 192, 120, 2);
    for (let j = -1; j <= 1; j += 1)
      for (let i = -1; i <= 1; i += 1)
        level.data[(77 + j) * 256 + 101 + i] = 120 + sign * 40;
    const { candidates, crowded } = found(level);
    // A strong thing draws the surround of its neighbours, which may stand out faintly.
    const [peak, ...others] = candidates.sort(
      (a, b) => Math.abs(b.response) - Math.abs(a.response),
    );
    for (const { response } of others) expect(Math.abs(response)).toBeLessThan(8);
    expect(Math.abs(peak!.response)).toBeGreaterThan(25);
    expect(Math.sign(peak!.response)).toBe(sign);
    expect(Math.abs(peak!.x - 101)).toBeLessThanOrEqual(1);
    expect(Math.abs(peak!.y - 77)).toBeLessThanOrEqual(1);
    expect([...crowded]).not.toContain(1);
  }
});

it.each([1, 3] as const)(
  'takes the light of %d channels, an odd last pixel too',
  (channels) => {
    const pixels = 37;
    const block = new BlockPixels(channels, pixels);
    for (let i = 0; i < pixels * channels; i += 1)
      block.samples[i] = (i * 7919 + 500) % 65536;
    block.takeLight(0, 16);
    block.takeLight(16, pixels);
    for (let i = 0; i < pixels; i += 1) {
      const [r = 0, g = r, b = r] = block.samples.subarray(
        i * channels,
        (i + 1) * channels,
      );
      const light = (77 * r + 150 * g + 29 * b) >> 8;
      expect(block.light[i]).toBe(light);
      expect(block.bytes[i]).toBe(light >> 8);
    }
  },
);
