import fc from 'fast-check';
import { secondsLeft, sliceRows } from '.';

it('says the time left in proportion to what is done, and nothing too early', () => {
  expect(secondsLeft(0.25, 10_000)).toBeCloseTo(30);
  expect(secondsLeft(1, 10_000)).toBe(0);
  expect(secondsLeft(0.01, 60_000)).toBeNull();
  expect(secondsLeft(0.5, 1000)).toBeNull();
});

it('slices cover every row once, in order', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 20_000 }),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 400 }),
      (rows, parts, least) => {
        const slices = sliceRows(rows, parts, least);
        expect(slices[0]!.from).toBe(0);
        expect(slices.at(-1)!.to).toBe(rows);
        expect(slices.length).toBeLessThanOrEqual(parts);
        slices.slice(1).forEach((s, i) => expect(s.from).toBe(slices[i]!.to));
        if (slices.length > 1)
          slices.forEach((s) => expect(s.to - s.from).toBeGreaterThanOrEqual(least));
      },
    ),
  );
});
