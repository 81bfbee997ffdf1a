import { ORDER_WEEKS, paperStation, proposedOrder, takesPlaceOf, wordsOf } from '.';
import type { NotedStation } from '.';

const at = (
  more: Partial<Parameters<typeof paperStation>[0]> & { noted?: NotedStation[] } = {},
) => paperStation({ discontinued: false, everHere: false, left: 0, noted: [], ...more });

it('a paper goes from one station to the next', () => {
  expect(at()).toBe('heard');
  expect(at({ noted: ['heard', 'asked'] })).toBe('asked');
  expect(at({ noted: ['tried', 'asked'] })).toBe('tried');
  expect(at({ noted: ['swatch'] })).toBe('tried');
  expect(at({ everHere: true, left: 3, noted: ['heard'] })).toBe('inStock');
  // An empty shelf is no end of it, as long as it is made.
  expect(at({ everHere: true })).toBe('inStock');
  expect(at({ discontinued: true, everHere: true, left: 0.5 })).toBe('discontinued');
  expect(at({ discontinued: true, everHere: true })).toBe('gone');
});

it('words are told apart by commas, each once', () => {
  expect(wordsOf(' Watercolours, portraits; watercolours,, ')).toEqual([
    'watercolours',
    'portraits',
  ]);
  expect(wordsOf(' ')).toEqual([]);
});

it('so much is ordered that it lasts twelve weeks, and never nothing', () => {
  const shelf = { left: 4, perWeek: 1.5, coming: 2, reorderPoint: 3 };
  expect(proposedOrder(shelf)).toBe(ORDER_WEEKS * 1.5 - 2);
  expect(proposedOrder({ ...shelf, perWeek: null })).toBe(4);
  expect(proposedOrder({ ...shelf, perWeek: null, left: 40 })).toBe(1);
  expect(proposedOrder({ ...shelf, perWeek: 0.1, left: 0, coming: 0 })).toBe(6);
});

it('what takes the place of a paper is followed until one is still made', () => {
  const paper = (id: number, replacementId: number | null, discontinued = true) => ({
    ...{ id, replacementId, discontinued },
  });
  const made = paper(4, null, false);
  expect(takesPlaceOf(1, [paper(1, 2), paper(2, 3), paper(3, 4), made])).toEqual({
    via: [2, 3],
    end: 4,
  });
  expect(takesPlaceOf(1, [paper(1, 2), paper(2, null)])).toEqual({ via: [2], end: null });
  // They name each other.
  expect(takesPlaceOf(1, [paper(1, 2), paper(2, 1)])).toEqual({ via: [2], end: null });
  expect(takesPlaceOf(1, [paper(1, 2), paper(2, 3), paper(3, 2)]).end).toBeNull();
  expect(takesPlaceOf(1, [paper(1, null)])).toEqual({ via: [], end: null });
});
