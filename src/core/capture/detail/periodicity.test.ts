import fc from 'fast-check';
import { addAlong, sumAcross } from './periodicity';

const WIDTH = 9;
const picture = fc.array(fc.nat(65535), { minLength: 5 * WIDTH, maxLength: 5 * WIDTH });
const range = fc
  .tuple(fc.integer({ min: 1, max: WIDTH - 1 }), fc.integer({ min: 1, max: WIDTH - 1 }))
  .map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);

/** |second difference| about a pixel, `by` apart. */
const second = (light: number[], i: number, by: number) =>
  Math.abs(light[i - by]! - 2 * light[i]! + light[i + by]!);

it('adds the second differences along a row to what was there', () => {
  fc.assert(
    fc.property(picture, range, fc.nat(3), (light, [from, to], x) => {
      const along = new Float64Array(WIDTH + 4).fill(7);
      const row = 2 * WIDTH;
      addAlong(Uint16Array.from(light), row + from, row + to, along, x);
      along.forEach((value, at) => {
        const i = at - x + from;
        const added = i >= from && i < to ? second(light, row + i, 1) : 0;
        expect(value).toBe(7 + added);
      });
    }),
  );
});

it('sums the second differences across rows', () => {
  fc.assert(
    fc.property(picture, range, fc.constantFrom(1, 2), (light, [from, to], rows) => {
      const stride = rows * WIDTH;
      const row = 2 * WIDTH;
      let sum = 0;
      for (let i = row + from; i < row + to; i += 1) sum += second(light, i, stride);
      const found = sumAcross(Uint16Array.from(light), row + from, row + to, stride);
      expect(found).toBe(sum);
    }),
  );
});
