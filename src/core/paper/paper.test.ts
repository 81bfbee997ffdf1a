import { foldMovements, stockLevel } from '.';

it('adds up movements and warns at the reorder point', () => {
  expect(stockLevel([25, -3, -12], 10)).toEqual({ sheets: 10, level: 'low' });
  expect(stockLevel([25, -3], 10)).toEqual({ sheets: 22, level: 'enough' });
  expect(stockLevel([2, -2], 10)).toEqual({ sheets: 0, level: 'out' });
});

it('folds a day’s movements for one reason into one line', () => {
  const move = (day: number, reason: string, pieces: number) => ({
    at: `2026-03-0${day}T1${-pieces}:00:00Z`,
    reason,
    pieces,
  });
  const lines = foldMovements([
    move(1, 'printed', -1),
    move(1, 'printed', -2),
    move(1, 'scuffed', -1),
    move(1, 'printed', -1),
    move(2, 'printed', -1),
  ]);
  expect(lines.map((l) => [l.at.slice(8, 10), l.reason, l.pieces])).toEqual([
    ['01', 'printed', -3],
    ['01', 'scuffed', -1],
    ['01', 'printed', -1],
    ['02', 'printed', -1],
  ]);
  expect(foldMovements([])).toEqual([]);
});
