import fc from 'fast-check';
import { fitFlatField, judgeEvenness, stopsAt } from '.';
import type { BoardGrid } from '.';

const RULES = { goodStops: 1 / 6, poorStops: 1 / 3 };

function board(
  stops: (x: number, y: number) => number,
  columns = 24,
  rows = 16,
): BoardGrid {
  const light = new Float64Array(columns * rows);
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < columns; x += 1)
      light[y * columns + x] = 0.4 * 2 ** stops((x + 0.5) / columns, (y + 0.5) / rows);
  return { columns, rows, light };
}

it('is good within a sixth of a stop, poor beyond a third', () => {
  const by = (stops: number) =>
    judgeEvenness(
      board((x) => stops * x),
      RULES,
    );
  expect(by(0.1)).toMatchObject({ verdict: 'good', shape: 'even' });
  expect(by(0.28).verdict).toBe('fair');
  expect(by(0.6)).toMatchObject({ verdict: 'poor', shape: 'tilted', darkSide: 'left' });
});

it('measures the falloff in stops', () => {
  const { falloff } = judgeEvenness(
    board((x, y) => -0.5 * x - 0.3 * y),
    RULES,
  );
  expect(falloff).toBeCloseTo(0.8 - (0.5 / 24 + 0.3 / 16), 3);
});

it('names the worst corner, and how far it is below the centre', () => {
  const { worst, darkSide } = judgeEvenness(
    board((x, y) => 0.6 * (x - 0.5) - 0.4 * (y - 0.5)),
    RULES,
  );
  expect(worst.corner).toBe('bottomLeft');
  expect(worst.stops).toBeCloseTo(-0.6 * 0.42 - 0.4 * 0.4, 1);
  expect(darkSide).toBe('left');
});

it('tells lights too near from one light too strong', () => {
  const hollow = judgeEvenness(
    board((x, y) => -1.2 * ((x - 0.5) ** 2 + (y - 0.5) ** 2)),
    RULES,
  );
  expect(hollow).toMatchObject({ shape: 'hollow', darkSide: null });
});

it('fits a smooth falloff, and takes it back to even', () =>
  fc.assert(
    fc.property(
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1.5, noNaN: true }),
      (a, b, c) => {
        const falloff = (x: number, y: number) =>
          a * x + b * y - c * ((x - 0.4) ** 2 + (y - 0.6) ** 2);
        const grid = board(falloff);
        const answer = fitFlatField(grid);
        if (!answer.ok) throw new Error(answer.because);
        const evened = Array.from(grid.light, (light, i) => {
          const x = ((i % 24) + 0.5) / 24;
          const y = (Math.floor(i / 24) + 0.5) / 16;
          return Math.log2(light) - stopsAt(answer.field, x, y);
        });
        expect(Math.max(...evened) - Math.min(...evened)).toBeLessThan(1e-6);
        // Divided by its brightest place: nothing gets darker, nothing is blown by it.
        const most = Math.max(
          ...Array.from({ length: 384 }, (_, i) =>
            stopsAt(answer.field, ((i % 24) + 0.5) / 24, (Math.floor(i / 24) + 0.5) / 16),
          ),
        );
        expect(most).toBeCloseTo(0, 6);
      },
    ),
    { numRuns: 40 },
  ));

it('refuses what is no plain board', () => {
  const checks = board((x, y) => ((Math.floor(x * 8) + Math.floor(y * 8)) % 2 ? -1 : 0));
  expect(fitFlatField(checks)).toMatchObject({ ok: false, because: 'notPlain' });
  expect(fitFlatField(board(() => -9))).toMatchObject({ ok: false, because: 'dark' });
});
