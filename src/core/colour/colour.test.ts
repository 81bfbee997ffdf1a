import { D50, RGB_SPACES, SPACE_IDS, apply, invert, multiply, rgbToXyzD50 } from '.';
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
