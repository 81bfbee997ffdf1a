import { minor } from '../units';
import { consignmentFigures, consignmentStands } from '.';

const print = (price: number, cost: number | null, end: 'sold' | 'fetched' | null) => ({
  price: minor(price),
  cost: cost === null ? null : minor(cost),
  end,
});

it('ties up what is out, framed for it, and says where no cost is known', () => {
  const figures = consignmentFigures(
    [
      print(9000, 2400, null),
      print(9000, null, null),
      print(8000, 2000, 'sold'),
      print(8000, 2000, 'fetched'),
    ],
    minor(1200),
  );
  expect(figures).toEqual({
    ...{ out: 2, sold: 1, fetched: 1, asked: 18_000 },
    ...{ tiedUp: 2400 + 2 * 1200, costUnknown: 1 },
  });
});

it('is overdue the day after it was to be fetched, and closed once nothing is out', () => {
  const stands = (out: number, today: string) =>
    consignmentStands({ out }, '2026-11-20', today);
  expect(stands(2, '2026-11-20')).toEqual({ how: 'out', days: 0 });
  expect(stands(2, '2026-11-21')).toEqual({ how: 'overdue', days: -1 });
  expect(stands(0, '2026-11-21').how).toBe('closed');
});
