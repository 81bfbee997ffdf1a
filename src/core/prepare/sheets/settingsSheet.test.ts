import { cellPiece, cellWhole, layOutSettingsSheet, partInCell } from '.';

const PICTURE = { width: 4000, height: 3000 };
/** Printed from the middle of the picture, twice as large. */
const PLAN = {
  width: 4000,
  height: 3000,
  image: { left: 0, top: 0, width: 4000, height: 3000 },
  source: { left: 1000, top: 750, width: 2000, height: 1500 },
  factor: 2,
};
const WISH = {
  sheet: { width: 210, height: 297 },
  ppi: 300,
  margin: 10,
  columns: 3,
  count: 6,
  plan: PLAN,
  strip: null,
} as const;

it('cells of a whole picture have its proportion, those of a piece 5 : 4', () => {
  for (const [of, proportion] of [
    ['whole', 4 / 3],
    ['piece', 1.25],
  ] as const) {
    const laid = layOutSettingsSheet({ ...WISH, of })!;
    expect(laid.places).toHaveLength(6);
    for (const { width, height } of laid.places)
      expect(width / height).toBeCloseTo(proportion, 1);
  }
  expect(layOutSettingsSheet({ ...WISH, of: 'whole', columns: 20, count: 400 })).toBeNull();
});

it.each(['whole', 'piece'] as const)(
  'a control strip lies under the cells of a %s, which get smaller for it, over the foot',
  (of) => {
    const strip = { width: 1140, height: 285 };
    const bare = layOutSettingsSheet({ ...WISH, of })!;
    const laid = layOutSettingsSheet({ ...WISH, of, strip })!;
    expect(bare.strip).toBeNull();
    const { place, words } = laid.strip!;
    expect(place).toMatchObject(strip);
    const last = laid.places.at(-1)!;
    expect(last.height).toBeLessThanOrEqual(bare.places.at(-1)!.height);
    // Clear of the last row of cells with its label, and of the foot.
    expect(place.top).toBeGreaterThan(laid.words.at(-1)!.top + 5 * 12);
    expect(words.top).toBeGreaterThan(place.top + place.height);
    expect(words.top + 3 * 12).toBeLessThan(laid.foot[0]!.top);
    expect(place.left + place.width).toBeLessThan(laid.width);
    const wide = { ...strip, width: 4000 };
    expect(layOutSettingsSheet({ ...WISH, of, strip: wide })).toBeNull();
  },
);

it('the whole picture in a cell is all that is printed of it', () =>
  expect(
    partInCell(PLAN, PICTURE, { of: 'whole', x: 0, y: 0 }, { width: 400, height: 300 }),
  ).toEqual([0.25, 0.25, 0.5, 0.5]));

it('a piece is drawn where it is written from: never beyond the edge of the print', () => {
  const cell = { width: 400, height: 320 };
  for (const [x, y] of [
    [0.5, 0.5],
    [0, 0],
    [1, 1],
    [0.02, 0.97],
  ] as const) {
    const piece = cellPiece(PLAN, { x, y }, cell);
    expect(piece.left).toBeGreaterThanOrEqual(0);
    expect(piece.left + piece.width).toBeLessThanOrEqual(PLAN.image.width);
    const [left, top, width, height] = partInCell(
      PLAN,
      PICTURE,
      { of: 'piece', x, y },
      cell,
    );
    expect(left * PICTURE.width).toBeCloseTo(1000 + piece.left / 2, 6);
    expect(top * PICTURE.height).toBeCloseTo(750 + piece.top / 2, 6);
    expect([width * PICTURE.width, height * PICTURE.height]).toEqual([200, 160]);
  }
});

it('a whole picture is made from a copy twice as fine as its cell', () =>
  expect(cellWhole({ left: 9, top: 9, width: 300, height: 200 })).toMatchObject({
    image: { width: 300, height: 200 },
    source: { width: 600, height: 400 },
    factor: 0.5,
  }));
