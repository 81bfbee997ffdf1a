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
  expect([x[0], y[0], z[0]].map((v) => Number(v.toFixed(3)))).toEqual([
    0.436, 0.223, 0.014,
  ]);
  expect([x[2], y[2], z[2]].map((v) => Number(v.toFixed(3)))).toEqual([
    0.143, 0.061, 0.714,
  ]);
});
