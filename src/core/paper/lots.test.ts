import fc from 'fast-check';
import { daysAfter } from '../days';
import { minor } from '../units';
import { cutPlan, isFault } from '../cut';
import { costOf, lengthOfRoll, meantExtent } from '.';
import { piecesOfSheet, stockLasts, takenBy } from '.';
import type { LotAtHand } from '.';

const lot = (id: number, more: Partial<LotAtHand> = {}): LotAtHand => ({
  id,
  kind: 'sheet',
  width: 610,
  height: 914,
  left: 5,
  leftOver: false,
  price: minor(800),
  ...more,
});
const A4 = { width: 210, height: 297 };

it('never promises more pieces of a sheet than a plan cuts from it', () => {
  fc.assert(
    fc.property(
      fc.record({
        width: fc.integer({ min: 120, max: 500 }),
        height: fc.integer({ min: 120, max: 500 }),
      }),
      fc.record({
        width: fc.integer({ min: 200, max: 700 }),
        height: fc.integer({ min: 200, max: 1000 }),
      }),
      (piece, sheet) => {
        const count = piecesOfSheet(piece, sheet);
        expect(count * piece.width * piece.height).toBeLessThanOrEqual(
          sheet.width * sheet.height,
        );
        if (count === 0) return;
        const plan = cutPlan({
          pieces: [{ id: 'a', ...piece, count, mayTurn: true }],
          stock: [{ id: 's', kind: 'sheet', ...sheet, count: 1 }],
          margin: { left: 0, right: 0, top: 0, bottom: 0 },
          gutter: 0,
          trim: 0,
          school: 'cutThenPrint',
        });
        expect(isFault(plan) ? plan : plan.unplaced).toEqual([]);
      },
    ),
    { numRuns: 30 },
  );
});

it('turns a piece where more of it fit so, or it fits only so', () => {
  expect(piecesOfSheet(A4, { width: 594, height: 420 })).toBe(4);
  expect(piecesOfSheet({ width: 400, height: 100 }, { width: 110, height: 410 })).toBe(1);
  expect(piecesOfSheet({ width: 700, height: 1000 }, { width: 610, height: 914 })).toBe(0);
  expect(lengthOfRoll({ width: 300, height: 400 }, 350)).toBe(400);
  expect(lengthOfRoll({ width: 300, height: 400 }, 250)).toBeNull();
});

it('takes left-overs first, then the oldest lot that has enough', () => {
  const lots = [
    lot(1, { left: 0.1 }),
    lot(2),
    lot(3, { leftOver: true, width: 220, height: 300, left: 1 }),
  ];
  expect(takenBy(A4, lots)).toMatchObject({ lotId: 3, amount: 1 });
  expect(takenBy(A4, lots.slice(0, 2))).toEqual({ lotId: 2, amount: 1 / 8, cost: 100 });
  expect(takenBy({ width: 500, height: 700 }, lots)).toMatchObject({ lotId: 2, amount: 1 });
});

it('takes of a roll the length that a print lies on, at its share of the price', () => {
  const roll = lot(4, { kind: 'roll', height: 12_000, left: 700, price: minor(8400) });
  expect(takenBy(A4, [roll])).toEqual({ lotId: 4, amount: 210, cost: 147 });
  expect(takenBy({ width: 600, height: 800 }, [roll])).toBe('notEnough');
  expect(costOf(roll, 12_000)).toBe(8400);
});

it('says why it takes nothing', () => {
  expect(takenBy(A4, [])).toBe('noLot');
  expect(takenBy({ width: 700, height: 1000 }, [lot(1)])).toBe('tooLarge');
  expect(takenBy(A4, [lot(1, { left: 0 })])).toBe('notEnough');
});

describe('how long it lasts', () => {
  const weekly = (weeks: number, sheets: number) =>
    Array.from({ length: weeks }, (_, i) => ({
      at: `${daysAfter('2026-02-09', -7 * (i + 1))}T09:00:00.000Z`,
      sheets,
    }));
  const lasts = (
    left: number,
    uses = weekly(10, 4),
    deliveryDays: number | null = 8,
    coming = 0,
  ) => stockLasts({ left, coming, uses, deliveryDays }, '2026-02-09');

  it('is what is left at the pace of late, with the day by which to order', () => {
    expect(lasts(12)).toEqual({
      perWeek: 4,
      over: 10,
      weeks: 3,
      coming: 0,
      emptyOn: '2026-03-02',
      // Eight days of delivery, three to spare.
      orderBy: '2026-02-19',
      reorderPoint: Math.ceil((4 * 18) / 7),
    });
  });
  it('is less by what is promised, and by nothing under nothing', () => {
    expect(lasts(12, undefined, 8, 4)).toMatchObject({ weeks: 2, orderBy: '2026-02-12' });
    expect(lasts(2, undefined, 8, 4)).toMatchObject({ weeks: 0, orderBy: '2026-01-29' });
  });
  it('has no day to order by where nobody said how long a delivery takes', () => {
    expect(lasts(12, undefined, null)).toMatchObject({ orderBy: null, reorderPoint: null });
  });
  it('cannot be told of nothing used, of what was used too lately, or long ago', () => {
    expect(lasts(12, [])).toBeNull();
    expect(lasts(12, [{ at: '2026-02-01', sheets: 9 }])).toBeNull();
    expect(lasts(12, [{ at: '2024-02-01', sheets: 9 }])).toBeNull();
  });
});

it('a print that is whole millimetres but for a pixel is as large as it is meant', () => {
  // Two of 30 x 40 cm on 60 x 40 cm, however 300 mm are rounded to pixels.
  for (const ppi of [72, 150, 240, 250, 300, 360])
    expect(
      piecesOfSheet(
        meantExtent(
          { width: Math.round((300 / 25.4) * ppi), height: Math.round((400 / 25.4) * ppi) },
          ppi,
        ),
        { width: 600, height: 400 },
      ),
    ).toBe(2);
  // Inches stay what they are.
  expect(meantExtent({ width: 2550, height: 3300 }, 300)).toEqual({
    width: expect.closeTo(215.9, 9),
    height: expect.closeTo(279.4, 9),
  });
});
