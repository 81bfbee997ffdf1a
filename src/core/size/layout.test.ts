import fc from 'fast-check';
import { printPlan } from '../prepare';
import { mm, pixelsFor, size } from '../units';
import { fitToSheet, plainLayout, rung, sameOnAllSides } from '.';
import type { Fit, FitResult, Layout, NominalSize, Place } from '.';
import { SIZE_RULES, nominalSize, sameLayout } from '.';

/** Fractions of whole numbers, exactly. */
class Exact {
  constructor(
    readonly n: bigint,
    readonly d: bigint = 1n,
  ) {}
  static of = (whole: number) => new Exact(BigInt(whole));
  plus = (o: Exact) => new Exact(this.n * o.d + o.n * this.d, this.d * o.d);
  minus = (o: Exact) => new Exact(this.n * o.d - o.n * this.d, this.d * o.d);
  times = (o: Exact) => new Exact(this.n * o.n, this.d * o.d);
  over = (o: Exact) =>
    o.n < 0n
      ? new Exact(-this.n * o.d, this.d * -o.n)
      : new Exact(this.n * o.d, this.d * o.n);
  least = (o: Exact) => (this.n * o.d < o.n * this.d ? this : o);
  most = (o: Exact) => (this.n * o.d > o.n * this.d ? this : o);
  toNumber() {
    const scale = 10n ** 15n;
    return Number((this.n * scale) / this.d) / 1e15;
  }
}
const ONE = Exact.of(1);
const TWO = Exact.of(2);

/** Sheet, image, margins and loss of a layout without bleed, by fractions; tenths of mm and pixels in. */
function exactly(
  sheet: [number, number],
  pixels: [number, number],
  borders: { above: number; right: number; below: number; left: number },
  fit: Fit,
  place: Place,
) {
  const [w, h] = sheet.map(Exact.of) as [Exact, Exact];
  const [pw, ph] = pixels.map(Exact.of) as [Exact, Exact];
  const b = {
    above: Exact.of(borders.above),
    right: Exact.of(borders.right),
    below: Exact.of(borders.below),
    left: Exact.of(borders.left),
  };
  const across = b.left.plus(b.right);
  const down = b.above.plus(b.below);
  const roomW = place === 'inside' ? w.minus(across) : w;
  const roomH = place === 'inside' ? h.minus(down) : h;
  const p = pw.over(ph);
  const imageW = fit === 'fill' ? roomW : roomW.least(roomH.times(p));
  const imageH = fit === 'fill' ? roomH : imageW.over(p);
  const room = roomW.over(roomH);
  const kept =
    fit === 'fill' ? ONE.least(room.over(p)).times(ONE.least(p.over(room))) : ONE;
  const sheetW = (fit === 'cut' ? imageW : roomW).plus(across);
  const sheetH = (fit === 'cut' ? imageH : roomH).plus(down);
  const spareW = sheetW.minus(imageW).minus(across).over(TWO);
  const spareH = sheetH.minus(imageH).minus(down).over(TWO);
  const left = b.left.plus(spareW);
  const right = b.right.plus(spareW);
  const above = b.above.plus(spareH).least(b.above.most(left.least(right)));
  const below = sheetH.minus(imageH).minus(above);
  return {
    sheetW,
    sheetH,
    imageW,
    imageH,
    left,
    right,
    above,
    below,
    lost: ONE.minus(kept),
  };
}

const side = fc.integer({ min: 1000, max: 20_000 });
const pixels = fc.integer({ min: 500, max: 30_000 });
const white = fc.integer({ min: 0, max: 400 });
const ways = fc.constantFrom<Fit>('within', 'fill', 'cut');
const places = fc.constantFrom<Place>('inside', 'outside');

const layoutOf = (
  b: { above: number; right: number; below: number; left: number },
  fit: Fit,
  place: Place,
): Layout => ({
  fit,
  place,
  borders: {
    above: mm(b.above / 10),
    right: mm(b.right / 10),
    below: mm(b.below / 10),
    left: mm(b.left / 10),
  },
  bleed: mm(0),
  deckle: mm(0),
});

it('agrees with exact fractions in image, sheet, margins and loss', () =>
  fc.assert(
    fc.property(
      fc.tuple(side, side),
      fc.tuple(pixels, pixels),
      fc.record({ above: white, right: white, below: white, left: white }),
      ways,
      places,
      (sheet, px, borders, fit, place) => {
        const laid = fitToSheet(
          size(sheet[0] / 10, sheet[1] / 10),
          px[0] / px[1],
          layoutOf(borders, fit, place),
        );
        const e = exactly(sheet, px, borders, fit, place);
        const near = (found: number, exact: Exact) =>
          expect(Math.abs(found - exact.toNumber() / 10)).toBeLessThan(1e-8);
        near(laid.sheet.width, e.sheetW);
        near(laid.sheet.height, e.sheetH);
        near(laid.image.width, e.imageW);
        near(laid.image.height, e.imageH);
        near(laid.left, e.left);
        near(laid.right, e.right);
        near(laid.above, e.above);
        near(laid.below, e.below);
        expect(Math.abs(laid.cropShare - e.lost.toNumber())).toBeLessThan(1e-12);
      },
    ),
  ));

const borderless = (fit: Fit, bleed: number): Layout => ({
  ...plainLayout(fit, mm(0)),
  bleed: mm(bleed),
});

describe('bleed', () => {
  it('prints 3 mm over every edge, and the trimmed image is as large as the sheet', () => {
    const laid = fitToSheet(size(300, 400), 3 / 4, borderless('fill', 3));
    expect(laid.image).toEqual({ width: 300, height: 400 });
    expect(laid.paper).toEqual({ width: 306, height: 406 });
    expect(laid.printed.bleed).toEqual(sameOnAllSides(mm(3)));
    // Both what is seen and what is printed keep the picture's shape.
    const shape = (c: FitResult['crop'], w: number, h: number) =>
      (c.width * 3) / (c.height * 4) / (w / h);
    expect(shape(laid.crop, 300, 400)).toBeCloseTo(1, 9);
    expect(shape(laid.printed.crop, 306, 406)).toBeCloseTo(1, 9);
    expect(laid.printed.crop.width / laid.crop.width).toBeCloseTo(306 / 300, 9);
  });
  it('runs over those edges only that the picture reaches', () => {
    const laid = fitToSheet(size(300, 500), 3 / 4, borderless('within', 3));
    expect(laid.printed.bleed).toEqual({ above: 3, right: 3, below: 0, left: 3 });
    expect(laid.below).toBeCloseTo(100, 9);
  });
  it('is nothing where there is a border', () => {
    const laid = fitToSheet(size(300, 400), 3 / 4, {
      ...plainLayout('fill', mm(10)),
      bleed: mm(3),
    });
    expect(laid.printed.bleed).toEqual(sameOnAllSides(mm(0)));
    expect(laid.paper).toEqual(laid.sheet);
  });
  it('is in the print file, whose picture is the larger part', () => {
    const laid = fitToSheet(size(300, 400), 3 / 4, borderless('fill', 3));
    const plan = printPlan({ width: 6000, height: 8000 }, laid, 300);
    expect([plan.width, plan.height]).toEqual([
      pixelsFor(mm(306), 300),
      pixelsFor(mm(406), 300),
    ]);
    expect(plan.image).toMatchObject({ left: 0, top: 0, width: plan.width });
    expect(plan.source.width).toBeCloseTo(laid.printed.crop.width * 6000, 6);
  });
});

it('a deckle takes paper on every side and leaves the border as planned', () => {
  const laid = fitToSheet(size(300, 400), 3 / 4, {
    ...plainLayout('within', mm(20)),
    deckle: mm(15),
  });
  expect(laid.paper).toEqual({ width: 330, height: 430 });
  expect(laid.sheet).toEqual({ width: 300, height: 400 });
  expect(laid.left).toBeCloseTo(20, 9);
  const plan = printPlan({ width: 6000, height: 8000 }, laid, 300);
  expect(plan.image.left).toBe(pixelsFor(mm(35), 300));
});

it('a border outside leaves the image its size', () => {
  const laid = fitToSheet(size(400, 500), 3 / 4, {
    ...plainLayout('fill', mm(20)),
    place: 'outside',
  });
  expect(laid.image).toEqual({ width: 400, height: 500 });
  expect(laid.sheet).toEqual({ width: 440, height: 540 });
});

it('cropped to 4:5 with 20 mm to sign on, the foot is weighted', () => {
  const laid = rung(
    nominalSize('metricFrames-40x50') as NominalSize,
    { width: 7087, height: 9449 },
    plainLayout('fill', mm(10), mm(20)),
    SIZE_RULES,
  )!;
  expect(laid.ratio).toBe('4:5');
  expect(laid.fit.image).toEqual({ width: 380, height: 470 });
  expect(laid.fit.below).toBeCloseTo(20, 9);
  expect(laid.judgement.roomToSign).toBe(true);
});

it('layouts are the same when they print the same', () => {
  const one = plainLayout('within', mm(20));
  expect(sameLayout(one, plainLayout('within', mm(20.01)))).toBe(true);
  for (const other of [
    plainLayout('fill', mm(20)),
    plainLayout('within', mm(20), mm(30)),
    { ...one, place: 'outside' as const },
    { ...one, bleed: mm(3) },
    { ...one, deckle: mm(3) },
  ])
    expect(sameLayout(one, other)).toBe(false);
});
