import { isErrandDesk, readItem } from './errandDesk';
import type { FileShown } from './filesShown';

const bench = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
const file = { id: 7, name: '30x40cm_pans.tif', work: '' } as FileShown;
const line = (over: object = {}) =>
  readItem(
    file,
    { quantity: '2', paperId: '1', remarks: ' watch the sky ', ...over },
    bench,
  );

it('reads a line of an errand as it is sent', () => {
  expect(line()).toEqual({
    item: { printFileId: 7, quantity: 2, paperId: 1, remarks: 'watch the sky' },
    fault: null,
  });
  expect(line({ paperId: '' }).item).toMatchObject({ paperId: null });
});

it.each([['0'], ['2.5'], ['two'], [''], ['1001']])(
  'of “%s” prints nothing is sent, and it is said of which file',
  (quantity) => {
    const { item, fault } = line({ quantity });
    expect(item).toBeNull();
    expect(fault).toMatch(/^30x40cm_pans\.tif: Prints: /);
  },
);

it.each([
  [{ routeId: null, items: {}, others: {} }, true],
  [
    { routeId: 1, items: { 7: { quantity: '2', paperId: '', remarks: '' } }, others: {} },
    true,
  ],
  [
    { routeId: 1, items: { 7: { quantity: 2, paperId: '', remarks: '' } }, others: {} },
    false,
  ],
  [{ routeId: 'x', items: {}, others: {} }, false],
  [null, false],
])('what a tab kept is checked before it is used: %j', (kept, good) => {
  expect(isErrandDesk(kept)).toBe(good);
});
