import {
  D50,
  RGB_SPACES,
  SPACE_IDS,
  apply,
  invert,
  multiply,
  rgbToXyzD50,
  tablePlaces,
  throughTable,
} from '.';
import type { Matrix } from '.';

it('inverts', () => {
  const m: Matrix = [
    [2, 0, 1],
    [0, 3, 0],
    [1, 0, 1],
  ];
  multiply(m, invert(m)).forEach((row, i) =>
    row.forEach((v, j) => expect(v).toBeCloseTo(i === j ? 1 : 0, 12)),
  );
  expect(() =>
    invert([
      [1, 1, 0],
      [1, 1, 0],
      [0, 0, 1],
    ]),
  ).toThrow(RangeError);
});

it.each(SPACE_IDS)('%s: white lands on D50', (id) => {
  apply(rgbToXyzD50(RGB_SPACES[id]), [1, 1, 1]).forEach((v, i) =>
    expect(v).toBeCloseTo(D50[i]!, 3),
  );
});

it('gives the published sRGB colorants at D50', () => {
  const [x, y, z] = rgbToXyzD50(RGB_SPACES.srgb);
  const published = [
    0.4361, 0.3851, 0.1431, 0.2225, 0.7169, 0.0606, 0.0139, 0.0971, 0.7141,
  ];
  [...x, ...y, ...z].forEach((v, i) =>
    expect(Math.abs(v - published[i]!)).toBeLessThan(6e-4),
  );
});

describe('a colour table', () => {
  /** Some smooth conversion. */
  const convert = (r: number, g: number, b: number) => [
    255 * (0.8 * r ** 0.9 + 0.2 * g),
    255 * (0.1 * r + 0.9 * g ** 1.1),
    255 * (0.3 * g * r + 0.7 * b),
  ];

  it('comes close to the conversion that it stands for, and meets it at its places', () => {
    const points = 17;
    const places = tablePlaces(3, points);
    const values = new Float32Array(places.length);
    for (let i = 0; i < places.length; i += 3)
      values.set(
        convert(places[i]! / 65535, places[i + 1]! / 65535, places[i + 2]! / 65535),
        i,
      );
    const rows = Float32Array.from({ length: 3000 }, (_, i) => (i * 7919 * 13) % 65536);
    const out = new Uint8ClampedArray(4000);
    throughTable(rows, { channels: 3, points, values }, out);
    for (let i = 0; i < 1000; i += 1) {
      const wanted = convert(
        rows[i * 3]! / 65535,
        rows[i * 3 + 1]! / 65535,
        rows[i * 3 + 2]! / 65535,
      );
      wanted.forEach((v, c) => expect(Math.abs(out[i * 4 + c]! - v)).toBeLessThan(1.6));
      expect(out[i * 4 + 3]).toBe(255);
    }
    const ends = new Uint8ClampedArray(8);
    throughTable(
      Float32Array.of(-900, -5, -1, 70000, 65535, 99999),
      { channels: 3, points, values },
      ends,
    );
    expect([...ends]).toEqual([0, 0, 0, 255, 255, 255, 255, 255]);
  });

  it('of grey is a curve', () => {
    const values = Float32Array.from(tablePlaces(1, 5), (v) => v / 257).reduce<number[]>(
      (all, v) => [...all, v, v / 2, 0],
      [],
    );
    const out = new Uint8ClampedArray(4);
    throughTable(
      Float32Array.of(32767.5),
      { channels: 1, points: 5, values: Float32Array.from(values) },
      out,
    );
    expect([...out]).toEqual([128, 64, 0, 255]);
  });
});
