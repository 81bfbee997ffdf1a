import fc from 'fast-check';
import { mm, size } from '../units';
import {
  CARD,
  PAGES,
  PAGE_MARGIN,
  PAGE_OVERLAP,
  SIZE_RULES,
  angularScale,
  boxesOf,
  clipped,
  cutMarks,
  fitToSheet,
  isScreenPpi,
  plainLayout,
  screenPpi,
  screenScale,
  sheetCautions,
  sheetDrawing,
  signPlaces,
  stepFrom,
  subtends,
  tilePages,
} from '.';
import type { DrawnLine, Fit } from '.';

const torn = (fit: Fit, border: number, bleed: number, deckle: number) =>
  fitToSheet(size(400, 500), 3 / 4, {
    ...plainLayout(fit, mm(border)),
    bleed: mm(bleed),
    deckle: mm(deckle),
  });

it('chains of measures add up to sheet and paper', () =>
  fc.assert(
    fc.property(
      fc.constantFrom<Fit>('within', 'fill', 'cut'),
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 0, max: 10 }),
      fc.integer({ min: 0, max: 30 }),
      (fit, border, bleed, deckle) => {
        const laid = torn(fit, border, bleed, deckle);
        const { measures } = sheetDrawing(laid, SIZE_RULES, 8);
        for (const upright of [false, true]) {
          const own = measures.filter((m) => m.upright === upright);
          const nearest = upright
            ? Math.min(...own.map((m) => m.at))
            : Math.max(...own.map((m) => m.at));
          const chain = own.filter((m) => m.at === nearest);
          const total = chain.reduce((sum, m) => sum + m.length, 0);
          const whole = upright ? laid.paper.height : laid.paper.width;
          expect(total).toBeCloseTo(whole, 6);
          const sheet = upright ? laid.sheet.height : laid.sheet.width;
          expect(own.some((m) => Math.abs(m.length - sheet) < 1e-6)).toBe(true);
        }
      },
    ),
  ));

it('marks stand outside the sheet and its bleed, and point at its corners and middles', () => {
  const { sheet } = boxesOf(torn('fill', 0, 3, 0));
  const marks = cutMarks(sheet, 3);
  expect(marks).toHaveLength(12);
  const outside = (l: DrawnLine) =>
    Math.max(l.x1, l.x2) <= sheet.left - 3 ||
    Math.min(l.x1, l.x2) >= sheet.right + 3 ||
    Math.max(l.y1, l.y2) <= sheet.top - 3 ||
    Math.min(l.y1, l.y2) >= sheet.bottom + 3;
  expect(marks.every(outside)).toBe(true);
  const middles = marks.filter((m) => m.kind === 'centreMark');
  expect(middles.filter((m) => m.x1 === m.x2).map((m) => m.x1)).toEqual([203, 203]);
});

it('is signed below the image: number left, title in the middle, signature right', () => {
  const laid = torn('within', 20, 0, 0);
  const { image, sheet } = boxesOf(laid);
  const places = signPlaces(laid, SIZE_RULES);
  expect(places.map((p) => p.place)).toEqual(['number', 'title', 'signature']);
  for (const p of places) {
    expect(p.y).toBeGreaterThan(image.bottom);
    expect(p.y).toBeLessThan(sheet.bottom);
  }
  expect(places[0]!.from).toBe(image.left);
  expect(places[2]!.to).toBe(image.right);
  expect(signPlaces(torn('fill', 0, 3, 0), SIZE_RULES)).toEqual([]);
});

it('warns of what cannot be printed, cut or signed', () => {
  const codes = (...of: Parameters<typeof torn>) =>
    sheetCautions(torn(...of), SIZE_RULES).map((c) => c.code);
  expect(codes('within', 20, 0, 0)).toEqual([]);
  expect(codes('fill', 0, 0, 0)).toEqual(['unprintable', 'noBleed', 'noRoomToSign']);
  // Bleed alone is not enough for a printer that leaves 5 mm blank; torn or trimmed from more, it is.
  expect(codes('fill', 0, 3, 0)).toEqual(['unprintable', 'noRoomToSign']);
  expect(codes('fill', 0, 3, 10)).toEqual(['noRoomToSign']);
  expect(codes('within', 3, 0, 0)[0]).toBe('unprintable');
});

describe('on pages', () => {
  const area = fc.record({
    width: fc.integer({ min: 50, max: 1500 }),
    height: fc.integer({ min: 50, max: 1500 }),
  });
  it('windows cover all of it, and lie over one another by 10 mm', () =>
    fc.assert(
      fc.property(area, fc.constantFrom('a4' as const, 'letter' as const), (a, name) => {
        const plan = tilePages({ left: -10, top: -20, ...size(a.width, a.height) }, name);
        const { window, columns, rows, tiles, page } = plan;
        expect(tiles).toHaveLength(columns * rows);
        expect(window.width + 2 * PAGE_MARGIN).toBeCloseTo(page.width, 9);
        expect(tiles[0]).toMatchObject({ left: -10, top: -20 });
        const last = tiles.at(-1)!;
        expect(last.left + window.width).toBeGreaterThanOrEqual(-10 + a.width - 1e-6);
        expect(last.top + window.height).toBeGreaterThanOrEqual(-20 + a.height - 1e-6);
        if (columns > 1)
          expect(tiles[1]!.left - tiles[0]!.left).toBeCloseTo(
            window.width - PAGE_OVERLAP,
            9,
          );
        // No page more than are needed: without the last column it would not reach.
        if (columns > 1) expect(last.left + PAGE_OVERLAP).toBeLessThan(-10 + a.width);
      }),
    ));
  it('a sheet that fits goes on one; pages lie the way that needs fewer', () => {
    expect(tilePages({ left: 0, top: 0, ...size(180, 270) }, 'a4').tiles).toHaveLength(1);
    const wide = tilePages({ left: 0, top: 0, ...size(270, 180) }, 'a4');
    expect(wide.tiles).toHaveLength(1);
    expect(wide.page).toEqual({ width: PAGES.a4.height, height: PAGES.a4.width });
  });
});

it('clips a line to a window as finely sampled points say', () => {
  const window = { left: 10, top: 20, ...size(100, 80) };
  const n = fc.integer({ min: -50, max: 200 });
  fc.assert(
    fc.property(n, n, n, n, (x1, y1, x2, y2) => {
      const line: DrawnLine = { kind: 'paper', x1, y1, x2, y2 };
      const part = clipped(line, window);
      const inside = (x: number, y: number, by: number) =>
        x >= 10 - by && x <= 110 + by && y >= 20 - by && y <= 100 + by;
      const points = Array.from({ length: 401 }, (_, i) => i / 400).filter((t) =>
        inside(x1 + t * (x2 - x1), y1 + t * (y2 - y1), 0),
      );
      if (!part) return expect(points).toHaveLength(0);
      expect(inside(part.x1, part.y1, 1e-6) && inside(part.x2, part.y2, 1e-6)).toBe(true);
      const length = Math.hypot(x2 - x1, y2 - y1);
      const kept = Math.hypot(part.x2 - part.x1, part.y2 - part.y1);
      if (points.length > 1)
        expect(Math.abs(kept - (points.at(-1)! - points[0]!) * length)).toBeLessThan(
          length / 190 + 1e-6,
        );
    }),
  );
});

describe('on a screen', () => {
  it('a card 324 px wide makes 96 ppi', () =>
    expect(screenPpi(screenScale(323.53, CARD.width))).toBeCloseTo(96, 1));
  it('a print subtends the angle that it will from where it hangs', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 2000 }),
        fc.integer({ min: 250, max: 10_000 }),
        fc.integer({ min: 200, max: 1500 }),
        fc.double({ min: 1.2, max: 15, noNaN: true }),
        (width, distance, eye, pixelsPerMm) => {
          const pixels = width * angularScale(pixelsPerMm, mm(eye), mm(distance));
          expect(subtends(pixels / pixelsPerMm, eye)).toBeCloseTo(
            subtends(width, distance),
            9,
          );
        },
      ),
    ));
  it('no screen has 1 ppi, or 5000', () => {
    expect([1, 0, -3, NaN, 5000].map(isScreenPpi)).toEqual(Array(5).fill(false));
    expect([72, 96, 163, 220].every(isScreenPpi)).toBe(true);
  });
  it('one steps back and closer, and not through the wall', () => {
    expect(stepFrom(mm(1200), true)).toBe(1250);
    expect(stepFrom(mm(1200), false)).toBe(1000);
    expect(stepFrom(mm(10_000), true)).toBe(10_000);
    expect(stepFrom(mm(250), false)).toBe(250);
    expect(stepFrom(stepFrom(mm(2000), true), false)).toBe(2000);
  });
});
