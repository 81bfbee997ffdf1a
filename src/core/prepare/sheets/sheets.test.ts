import fc from 'fast-check';
import { plainRecipe, printPlan, stepIn } from '..';
import { fitToSheet, plainLayout } from '../../size';
import { mm, size } from '../../units';
import {
  axisPoints,
  chooseSheet,
  layOutProof,
  layOutSettings,
  packInRows,
  packPieces,
  proofParts,
  proposePieces,
  rowUnder,
  settingGrid,
} from '.';
import type { Lightness, Place } from '.';

describe('packing', () => {
  const room = { margin: 10, gutter: 6, foot: 20 };
  const pieces = fc.array(
    fc.record({
      width: fc.integer({ min: 5, max: 120 }),
      height: fc.integer({ min: 5, max: 120 }),
    }),
    { minLength: 1, maxLength: 14 },
  );

  /** Fails where two overlap or come too near, or one leaves the room. */
  function expectApart(all: { width: number; height: number }[], places: Place[]): void {
    expect(places).toHaveLength(all.length);
    places.forEach((a, i) => {
      const p = all[i]!;
      expect(a.left).toBeGreaterThanOrEqual(10);
      expect(a.top).toBeGreaterThanOrEqual(10);
      expect(a.left + p.width).toBeLessThanOrEqual(410);
      expect(a.top + p.height).toBeLessThanOrEqual(370);
      places.slice(0, i).forEach((b, k) => {
        const q = all[k]!;
        const apart =
          a.left >= b.left + q.width + 6 ||
          b.left >= a.left + p.width + 6 ||
          a.top >= b.top + q.height + 6 ||
          b.top >= a.top + p.height + 6;
        expect(apart).toBe(true);
      });
    });
  }

  it.each([
    ['as they fit', packPieces],
    ['in rows', packInRows],
  ])('%s never lets two pieces overlap, nor one leave the room', (_, pack) => {
    let fitted = 0;
    fc.assert(
      fc.property(pieces, fc.nat(13), (all, aside) => {
        const some = all.map((p, i) => ({ ...p, group: i >> 1, aside: i === aside }));
        const places = pack(some, { ...room, width: 420, height: 400 });
        if (!places) return;
        fitted += 1;
        expectApart(all, places);
      }),
    );
    expect(fitted).toBeGreaterThan(30);
  });

  it('in rows keeps a group in one row, and sets aside what stands alone', () => {
    const piece = (group: number) => ({ width: 110, height: 60, group });
    const all = [0, 0, 1, 1, 2, 2].map(piece);
    const whole = { width: 70, height: 90, aside: true };
    const sheet = { ...room, width: 420, height: 400 };
    // Two of 110 and their gutter leave room for a third; it begins the next row all the same.
    expect(packInRows([...all, whole], sheet)).toEqual([
      ...[10, 76, 142].flatMap((top) => [10, 126].map((left) => ({ left, top }))),
      { left: 340, top: 10 },
    ]);
    // Where nothing fits beside the rows it lies under them.
    const wide = { ...whole, width: 300 };
    expect(packInRows([...all, wide], sheet)!.at(-1)).toEqual({ left: 10, top: 208 });
    expect(packInRows(all, { ...sheet, height: 200 })).toBeNull();
  });

  it('lays equal pieces in the order in which they came, row by row', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.array(fc.constantFrom(70, 90), { maxLength: 4 }),
        (equal, others) => {
          const all = [
            ...others.map((high) => ({ width: high + 11, height: high })),
            ...Array.from({ length: equal }, () => ({ width: 60, height: 45 })),
          ];
          const places = packPieces(all, { ...room, width: 420, height: 400 });
          if (!places) return;
          const order = places.slice(others.length).map((p) => p.top * 1000 + p.left);
          expect(order).toEqual([...order].sort((a, b) => a - b));
        },
      ),
    );
  });

  it('takes the sheet with the least waste that holds all, upright or lying', () => {
    const sheets = [
      { name: 'large', width: 600, height: 800 },
      { name: 'small', width: 150, height: 220 },
      { name: 'middle', width: 300, height: 420 },
    ];
    const two = [
      { width: 180, height: 100 },
      { width: 180, height: 100 },
    ];
    expect(chooseSheet(two, sheets, room)).toMatchObject({ sheet: { name: 'middle' } });
    const lying = chooseSheet([{ width: 195, height: 100 }], sheets, room)!;
    expect(lying.sheet).toEqual({ name: 'small', width: 220, height: 150 });
    expect(lying.waste).toBeCloseTo(1 - (195 * 100) / (220 * 150), 6);
    expect(chooseSheet([{ width: 900, height: 10 }], sheets, room)).toBeNull();
  });
});

describe('proposals', () => {
  const side = 240;
  /** A picture with one place for each test. */
  function picture(): Lightness {
    const data = new Float32Array(side * side).fill(55);
    const wild = (i: number) => {
      const v = Math.sin(i * 12.9898) * 43758.5453;
      return v - Math.floor(v);
    };
    const into = (
      left: number,
      top: number,
      at: (x: number, y: number) => number,
      long = 60,
    ) => {
      for (let y = 0; y < long; y += 1)
        for (let x = 0; x < long; x += 1) data[(top + y) * side + left + x] = at(x, y);
    };
    into(0, 0, (x, y) => 40 + 5 * wild(x * 61 + y * 977));
    into(180, 0, (x) => (Math.floor(x / 10) % 2 === 0 ? 35 : 70));
    into(0, 180, () => 4);
    into(80, 80, (x, y) => 35 + ((x + y) / 160) * 40, 80);
    into(180, 180, (x, y) => (y < 20 ? 2 : y < 40 ? 50 : 99) + (x % 2));
    return { width: side, height: side, data };
  }

  it('finds for each test the place made for it', () => {
    const found = Object.fromEntries(
      proposePieces(picture(), 60, 60).map((p) => [p.tests, p]),
    );
    const near = (tests: string, left: number, top: number, off = 12) => {
      const p = found[tests]!;
      const inPlace = Math.abs(p.left - left) <= off && Math.abs(p.top - top) <= off;
      expect([tests, inPlace]).toEqual([tests, true]);
    };
    near('tones', 180, 180, 50);
    near('texture', 0, 0);
    near('edges', 180, 0);
    near('shadow', 0, 180);
    near('gradient', 90, 90);
    expect(found.shadow!.figure).toBeCloseTo(4, 0);
    expect(found.tones!.figure).toBeGreaterThan(90);
    expect(found.gradient!.figure).toBeGreaterThan(20);
  });

  it('stays inside a picture smaller than what was asked for', () => {
    const small = { width: 20, height: 12, data: new Float32Array(240).fill(50) };
    for (const p of proposePieces(small, 60, 60))
      expect(p).toMatchObject({ left: 0, top: 0, width: 20, height: 12 });
  });
});

describe('a grid of settings', () => {
  const recipe = plainRecipe(300, 1);
  const none = { words: [], step: 10, sides: 1 };

  it('has a cell for every pair of steps, each with its own recipe', () => {
    const { columns, cells } = settingGrid(recipe, [
      { ...none, axis: 'lightness', step: 8, sides: 2 },
      { ...none, axis: 'warmth', sides: 1 },
    ]);
    expect([columns, cells.length]).toEqual([5, 15]);
    expect(
      cells
        .map((c) => stepIn(c.recipe, 'adjust'))
        .map((s) => [s!.lightness, s!.warmth])
        .slice(0, 6),
    ).toEqual([
      [-16, -10],
      [-8, -10],
      [0, -10],
      [8, -10],
      [16, -10],
      [-16, 0],
    ]);
    expect(stepIn(recipe, 'adjust')).toBeNull();
  });

  it('goes about what the recipe has, and stays within its limits', () => {
    const { cells } = settingGrid(recipe, [
      { ...none, axis: 'sharpening', step: 50, sides: 2 },
    ]);
    expect(cells.map((c) => stepIn(c.recipe, 'output')!.amount)).toEqual([
      0, 10, 60, 110, 160,
    ]);
    const intents = settingGrid(recipe, [{ ...none, axis: 'intent' }]).cells;
    expect(intents.map((c) => c.recipe.convert.intent)).toEqual([
      'relative',
      'perceptual',
      'saturation',
    ]);
    // A media setting is of a whole sheet.
    const media = { ...none, axis: 'media', words: ['matte, heavy', 'fine art'] } as const;
    expect(settingGrid(recipe, [{ ...media, words: [...media.words] }]).cells).toEqual([
      { points: [], recipe },
    ]);
    expect(axisPoints(recipe, { ...media, words: [...media.words] })).toHaveLength(2);
  });
});

describe('a resolution proof', () => {
  const whole = { width: 3000, height: 4000 };
  const of = (w: number, h: number, key: string) => ({
    sizeKey: key,
    sizeLabel: key,
    plan: printPlan(whole, fitToSheet(size(w, h), 0.75, plainLayout('fill', mm(0))), 254),
    standMm: 900,
  });
  const wish = {
    ppi: 254,
    sheets: [
      { name: 'A4', width: 210, height: 297 },
      { name: 'A3', width: 297, height: 420 },
    ],
    margin: 5,
    piece: { width: 60, height: 40 },
    sizes: [of(300, 400, 'small'), of(500, 700, 'large')],
    places: [
      { x: 0.5, y: 0.5, tests: 'byHand' as const },
      { x: 0.1, y: 1, tests: 'edges' as const },
    ],
    strip: null,
    overview: whole,
  };

  it('puts down each piece out of its own print, then the whole picture, then the lines', () => {
    const layout = layOutProof(wish, whole);
    if ('code' in layout) throw new Error(layout.code);
    const recipe = plainRecipe(254, 1);
    const { parts, black } = proofParts(layout, recipe, wish.sizes);
    expect(parts).toHaveLength(layout.pieces.length + 1);
    layout.pieces.forEach(({ sizeKey, region, place }, i) => {
      const { plan } = wish.sizes.find((s) => s.sizeKey === sizeKey)!;
      expect(parts[i]).toEqual({ plan, recipe, region, place });
    });
    expect(parts.at(-1)).toMatchObject({
      plan: layout.overview!.plan,
      place: layout.overview!.place,
    });
    expect(black).toEqual([...layout.check.line, ...layout.overview!.marks]);
    const bare = layOutProof({ ...wish, overview: null }, whole);
    if ('code' in bare) throw new Error(bare.code);
    expect(proofParts(bare, recipe, wish.sizes).parts).toHaveLength(bare.pieces.length);
    expect(() => proofParts(bare, recipe, wish.sizes.slice(1))).toThrow('small');
    expect(rowUnder({ left: 5, top: 100, wide: 9 }, 254)).toEqual({
      left: 5,
      top: 132,
      wide: 9,
    });
  });

  it("shows every place at every size, at that size's own pixels", () => {
    const layout = layOutProof(wish, whole);
    if ('code' in layout) throw new Error(layout.code);
    expect(layout.sheet.name).toBe('A4');
    expect(
      layout.pieces.map((p) => [p.number, p.sizeKey, p.tests, p.region.width]),
    ).toEqual([
      [1, 'small', 'byHand', 600],
      [1, 'large', 'byHand', 600],
      [2, 'small', 'edges', 600],
      [2, 'large', 'edges', 600],
    ]);
    for (const { sizeKey, region } of layout.pieces) {
      const { image } = wish.sizes.find((s) => s.sizeKey === sizeKey)!.plan;
      expect(region.left).toBeGreaterThanOrEqual(0);
      expect(region.left + region.width).toBeLessThanOrEqual(image.width);
      expect(region.top + region.height).toBeLessThanOrEqual(image.height);
    }
    // The middle of the picture is the middle of either print.
    const [small, large] = layout.pieces;
    expect(small!.region.left + 300).toBe(1500);
    expect(large!.region.left + 300).toBe(2500);
    // 100 mm at 254 ppi are 1000 px.
    expect(layout.check.line[0]!.width).toBe(1000);
    expect(layout.overview!.place.height).toBe(620);
    expect(layout.overview!.marks).toHaveLength(16);
    // One number for a place, in the corner of its frame at the first size.
    const [first, , , , , , , , second] = layout.overview!.marks;
    expect(layout.overview!.numbers).toEqual([
      { number: 1, left: first!.left + 3, top: first!.top + 3, wide: 40 },
      { number: 2, left: second!.left + 3, top: second!.top + 3, wide: 40 },
    ]);
  });

  it('says what is in the way', () => {
    const cropped = of(700, 300, 'wide');
    expect(layOutProof({ ...wish, sizes: [cropped] }, whole)).toEqual({
      code: 'outside',
      place: 1,
      sizeLabel: 'wide',
    });
    expect(layOutProof({ ...wish, places: [] }, whole)).toEqual({ code: 'nothing' });
    expect(layOutProof({ ...wish, piece: { width: 250, height: 250 } }, whole)).toEqual({
      code: 'noRoom',
    });
  });
});

it('cells of a settings sheet are alike, apart, and inside the sheet', () => {
  const cells = layOutSettings({
    width: 2100,
    height: 2970,
    ppi: 254,
    margin: 5,
    columns: 5,
    count: 15,
    proportion: 0.75,
    strip: null,
  })!;
  expect(cells.places).toHaveLength(15);
  const [first] = cells.places;
  expect(first!.width / first!.height).toBeCloseTo(0.75, 1);
  cells.places.forEach((a, i) => {
    expect([a.width, a.height]).toEqual([first!.width, first!.height]);
    expect(a.left + a.width).toBeLessThanOrEqual(2050);
    expect(a.top + a.height).toBeLessThan(2970 - 190);
    for (const b of cells.places.slice(0, i))
      expect(
        a.left >= b.left + b.width ||
          a.top >= b.top + b.height ||
          b.left >= a.left + a.width,
      ).toBe(true);
  });
  expect(
    layOutSettings({
      width: 300,
      height: 300,
      ppi: 254,
      margin: 5,
      columns: 9,
      count: 81,
      proportion: 1,
      strip: null,
    }),
  ).toBeNull();
});
