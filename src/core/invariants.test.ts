import fc from 'fast-check';
import { adviseSize, adviseTags, sampledPpi } from './capture';
import { planMat } from './finish';
import { PLAIN_WEEK, daysUntil, promisedDay } from './days';
import { shareOut } from './order';
import {
  NOTHING,
  PACK_RULES,
  billableWeight,
  checkScales,
  choosePacking,
  liesInside,
  parcelOf,
  splitParcels,
  takenFrom,
} from './pack';
import type { PackingMaterial } from './pack';
import { printPlan } from './prepare';
import { costOfImpression, priceForMargin, saleAt } from './price';
import {
  SIZE_RULES,
  fitToSheet,
  plainLayout,
  judgeSize,
  largestEnlarged,
  nominalSize,
  rung,
} from './size';
import { grams, gsm, minor, mm, pixelsFor, ppi, size, toInches } from './units';

const side = fc.integer({ min: 100, max: 2000 });
const pixels = fc.integer({ min: 200, max: 40_000 });
const proportion = fc.double({ min: 0.3, max: 3, noNaN: true });
const fitWay = fc.constantFrom('within' as const, 'fill' as const, 'cut' as const);
const cents = (max: number) => fc.integer({ min: 0, max }).map(minor);

describe('a print on its sheet', () => {
  it('in pixels adds up to the sheet and stays inside the master, at any resolution', () =>
    fc.assert(
      fc.property(
        side,
        side,
        proportion,
        fitWay,
        fc.integer({ min: 72, max: 720 }),
        (w, h, p, way, at) => {
          const fit = fitToSheet(size(w, h), p, plainLayout(way, mm(Math.min(w, h) / 8)));
          const master = { width: Math.round(6000 * p), height: 6000 };
          const plan = printPlan(master, fit, at);
          expect(plan.width).toBe(pixelsFor(fit.sheet.width, at));
          expect(plan.image.left * 2 + plan.image.width).toBe(plan.width);
          expect(plan.image.top + plan.image.height).toBeLessThanOrEqual(plan.height);
          expect(plan.source.left).toBeGreaterThanOrEqual(0);
          expect(plan.source.left + plan.source.width).toBeLessThanOrEqual(
            master.width + 1e-6,
          );
          expect(plan.source.top + plan.source.height).toBeLessThanOrEqual(
            master.height + 1e-6,
          );
          // Both axes are enlarged alike, to the rounding of one pixel of print and master.
          const down = plan.image.height / plan.source.height;
          expect(Math.abs(down / plan.factor - 1)).toBeLessThan(
            2 / plan.image.width + 2 / plan.image.height + 1 / master.width,
          );
        },
      ),
    ));

  it('twice the pixels are twice the ppi, half the distance, and never a worse verdict', () =>
    fc.assert(
      fc.property(pixels, pixels, side, side, (pw, ph, w, h) => {
        const fit = fitToSheet(size(w, h), pw / ph, plainLayout('within', mm(10)));
        const one = judgeSize({ width: pw, height: ph }, fit, SIZE_RULES);
        const two = judgeSize({ width: 2 * pw, height: 2 * ph }, fit, SIZE_RULES);
        expect(two.figures.ppi / one.figures.ppi).toBeCloseTo(2, 6);
        expect(two.figures.crispFrom / one.figures.crispFrom).toBeCloseTo(0.5, 6);
        const ranks = ['inHand', 'whereStand', 'softUpClose', 'fallsShort'];
        expect(ranks.indexOf(two.verdict)).toBeLessThanOrEqual(ranks.indexOf(one.verdict));
      }),
    ));

  it('at its largest native size has exactly the resolution that the printer is fed with', () =>
    fc.assert(
      fc.property(pixels, pixels, (width, height) => {
        const largest = largestEnlarged('native', { width, height }, SIZE_RULES);
        expect(width / toInches(largest.width)).toBeCloseTo(SIZE_RULES.printPpi, 6);
        expect(largest.width / largest.height).toBeCloseTo(width / height, 6);
      }),
    ));

  it('turns with the picture', () => {
    const a3 = nominalSize('isoA-A3')!;
    const portrait = rung(
      a3,
      { width: 3000, height: 4000 },
      plainLayout('within', mm(10)),
      SIZE_RULES,
    )!;
    const landscape = rung(
      a3,
      { width: 4000, height: 3000 },
      plainLayout('within', mm(10)),
      SIZE_RULES,
    )!;
    expect(portrait.fit.sheet).toEqual({ width: 297, height: 420 });
    expect(landscape.fit.sheet).toEqual({ width: 420, height: 297 });
    expect(
      rung(a3, { width: 1, height: 1 }, plainLayout('within', mm(149)), SIZE_RULES),
    ).toBeNull();
  });
});

it('an original sampled at r ppi has r x its inches of pixels, whatever its tag says', () =>
  fc.assert(
    fc.property(side, side, fc.integer({ min: 50, max: 1200 }), (w, h, r) => {
      const facts = { width: (w / 25.4) * r, height: (h / 25.4) * r };
      const { across, down } = sampledPpi(facts, size(w, h));
      expect(across).toBeCloseTo(r, 6);
      expect(down).toBeCloseTo(r, 6);
      const tagged = {
        ...facts,
        format: 'tiff' as const,
        bitsPerChannel: 16,
        channels: 3,
        colourModel: 'rgb' as const,
        ppiTag: r,
        iccDescription: 'sRGB',
        orientation: 1,
        bytes: 1,
      };
      expect(adviseTags(tagged, Math.min(across, down), null)).toEqual([]);
      const codes = adviseSize(tagged, size(w, h), 300).map((c) => c.code);
      expect(codes).toEqual(r < 300 - 1e-9 ? ['small'] : []);
    }),
  ));

describe('a price', () => {
  const fees = fc.record({
    commission: fc.double({ min: 0, max: 0.4, noNaN: true }),
    payment: fc.double({ min: 0, max: 0.1, noNaN: true }),
    fixed: cents(200),
  });

  it('is cost, fees and what stays, to the cent', () =>
    fc.assert(
      fc.property(cents(1e6), cents(1e6), fees, (price, cost, f) => {
        const sale = saleAt(price, cost, f);
        expect(sale.fees + sale.cost + sale.net).toBe(price);
      }),
    ));

  it('one step lower would miss the margin', () =>
    fc.assert(
      fc.property(
        cents(1e5),
        fees,
        fc.double({ min: 0, max: 0.45, noNaN: true }),
        (cost, f, margin) => {
          const step = minor(100);
          const price = priceForMargin(cost, f, margin, step);
          if (price === null || price <= 100) return;
          const below = saleAt(minor(price - 100), cost, f);
          // A cent of rounding may fall either way.
          expect(below.net - 1).toBeLessThan(margin * (price - 100));
        },
      ),
    ));

  it('adds up from its parts, and is cheaper spread over more', () =>
    fc.assert(
      fc.property(
        cents(1e5),
        cents(1e5),
        cents(1e5),
        fc.integer({ min: 1, max: 500 }),
        (printing, capture, proofs, n) => {
          const of = (expectedImpressions: number) =>
            costOfImpression({
              printing,
              paper: minor(0),
              capture,
              proofs,
              expectedImpressions,
              spoilage: 0.04,
              finishing: minor(0),
              packing: minor(0),
              postage: minor(0),
              hours: 0,
              hourlyRate: minor(0),
            });
          const { parts, total } = of(n);
          expect(parts.reduce((t, p) => t + p.amount, 0)).toBe(total);
          expect(of(n + 1).total).toBeLessThanOrEqual(total);
        },
      ),
    ));
});

describe('a parcel', () => {
  const flat = (
    kind: 'sleeve' | 'board' | 'mailer',
    w: number,
    h: number,
  ): PackingMaterial => ({
    id: w,
    kind,
    name: kind,
    ...size(w, h),
    thickness: mm(2),
    mass: grams((w * h) / 1000),
    cost: minor(0),
    stock: 3,
  });
  const stock: PackingMaterial[] = [200, 300, 400, 500, 600].flatMap((w) => [
    flat('sleeve', w + 5, w * 1.4 + 5),
    flat('board', w + 6, w * 1.4 + 6),
    flat('mailer', w + 20, w * 1.4 + 30),
  ]);
  for (const [diameter, length] of [
    [50, 500],
    [75, 800],
    [100, 1200],
  ] as const)
    stock.push({
      id: length,
      kind: 'tube',
      name: 'tube',
      diameter: mm(diameter),
      length: mm(length),
      wall: mm(2),
      mass: grams(200),
      cost: minor(0),
      stock: 3,
    });
  const print = fc.record({
    copies: fc.integer({ min: 1, max: 3 }),
    width: fc.integer({ min: 100, max: 1100 }).map((n) => mm(n)),
    height: fc.integer({ min: 100, max: 1100 }).map((n) => mm(n)),
    weight: fc.integer({ min: 150, max: 400 }).map(gsm),
    thickness: fc.constant(mm(0.5)),
    certificate: fc.boolean(),
  });
  const prints = fc
    .array(print, { minLength: 1, maxLength: 4 })
    .map((all) => all.map((p, i) => ({ ...p, line: i + 1 })));
  const contents = prints.map((all) => ({ ...NOTHING, prints: all }));

  it('takes each print inside each part, weighs the sum of them, and is found right by the scales', () =>
    fc.assert(
      fc.property(contents, (c) => {
        const { packing } = choosePacking(c, stock, PACK_RULES);
        if (!packing) return;
        for (const p of c.prints) {
          if (packing.way === 'flat') {
            const { board, mailer, sleeves } = packing;
            const own = sleeves.find((s) => s.line === p.line)!;
            expect(own.copies).toBe(p.copies);
            expect(liesInside(p, own.sleeve, 0)).toBe(true);
            expect(liesInside(p, board!, 2 * PACK_RULES.boardMargin)).toBe(true);
            expect(liesInside(board!, mailer, PACK_RULES.mailerPlay)).toBe(true);
            expect(packing.spare).toBeGreaterThanOrEqual(PACK_RULES.mailerPlay - 1e-9);
          } else {
            expect(packing.tube.length).toBeGreaterThan(Math.min(p.width, p.height));
            expect(packing.tube.diameter).toBeGreaterThanOrEqual(
              p.weight > PACK_RULES.thinTubeUpTo ? 75 : 50,
            );
          }
        }
        const parcel = parcelOf(c, packing);
        expect(new Set(parcel.parts.map((p) => p.key)).size).toBe(parcel.parts.length);
        expect(parcel.parts.reduce((t, x) => t + x.mass, 0)).toBeCloseTo(parcel.total, 6);
        expect(billableWeight(parcel, PACK_RULES.volumeDivisor)).toBeGreaterThanOrEqual(
          parcel.total,
        );
        expect(checkScales(parcel, parcel.total, PACK_RULES).agrees).toBe(true);
        // Without its heaviest part it is never taken for whole, and that part is suspected.
        const [heaviest] = [...parcel.parts].sort((a, b) => b.mass - a.mass);
        const short = checkScales(parcel, grams(parcel.total - heaviest!.mass), PACK_RULES);
        expect(short.agrees).toBe(heaviest!.mass <= PACK_RULES.scaleTolerance);
        if (!short.agrees) expect(short.suspects).toContainEqual(heaviest);
        // No more is taken from the shelf than lies on it.
        for (const { id, pieces } of takenFrom(packing))
          expect(pieces).toBeLessThanOrEqual(stock.find((m) => m.id === id)!.stock);
      }),
    ));

  it('an order is split so that each line lies in one parcel, and each parcel can be packed or lacks only material', () =>
    fc.assert(
      fc.property(prints, (all) => {
        const split = splitParcels(all, [], stock, PACK_RULES);
        expect(split.flat().sort((a, b) => a - b)).toEqual(all.map((p) => p.line));
        for (const lines of split) {
          const own = all.filter((p) => lines.includes(p.line));
          const chosen = choosePacking({ ...NOTHING, prints: own }, stock, PACK_RULES);
          if (chosen.packing || own.length === 1) continue;
          // More than one lie together only where nothing forbids it.
          const parts = ['tooMany', 'tooThick', 'goodsDoNotRoll'];
          const ways = Object.values(chosen.lacking);
          expect(ways.some((l) => !l.some((x) => parts.includes(x)))).toBe(true);
        }
      }),
    ));

  it('an amount is shared out to the last unit, each part within one of its exact share', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.array(fc.integer({ min: 0, max: 1e6 }), { minLength: 1, maxLength: 8 }),
        (amount, weights) => {
          const shares = shareOut(amount, weights);
          const total = weights.reduce((a, b) => a + b, 0);
          expect(shares.reduce((a, b) => a + b, 0)).toBe(amount);
          shares.forEach((s, i) => {
            const exact =
              total === 0 ? amount / weights.length : (amount * weights[i]!) / total;
            expect(Math.abs(s - exact)).toBeLessThan(1);
          });
        },
      ),
    ));

  it('leaves on a working day, as many of them after as promised', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4000 }),
        fc.integer({ min: 0, max: 30 }),
        (n, days) => {
          const placed = new Date(Date.UTC(2024, 0, 1) + n * 86_400_000).toISOString();
          const due = promisedDay(placed.slice(0, 10), days, PLAIN_WEEK);
          const weekday = new Date(`${due}T12:00:00Z`).getUTCDay();
          if (days > 0) expect([0, 6]).not.toContain(weekday);
          expect(daysUntil(due, placed.slice(0, 10))).toBeGreaterThanOrEqual(days);
          expect(daysUntil(due, placed.slice(0, 10))).toBeLessThanOrEqual(
            days + 2 * Math.ceil((days + 1) / 5),
          );
        },
      ),
    ));
});

it('a mat lies over or beside the image by the same on every side, and holds only beyond the worst case', () =>
  fc.assert(
    fc.property(
      side,
      side,
      fc.integer({ min: 0, max: 40 }),
      fc.constantFrom('overlap' as const, 'reveal' as const),
      fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 4 }),
      (w, h, perSide, style, off) => {
        const plan = planMat({
          image: size(w, h),
          margins: { sides: mm(25), above: mm(25), below: mm(60) },
          style,
          perSide: mm(perSide),
          tolerances: off.map((t) => mm(t)),
          borders: { sides: mm(50), above: mm(60), below: mm(70) },
          mouldingWidth: mm(20),
          sawLoss: mm(3),
          glazing: { thickness: mm(2), material: 'acrylic' },
        });
        const sign = style === 'overlap' ? -1 : 1;
        expect((plan.opening.width - w) / 2).toBeCloseTo(sign * perSide, 9);
        expect((plan.opening.height - h) / 2).toBeCloseTo(sign * perSide, 9);
        expect(plan.outside.height - plan.opening.height).toBeCloseTo(130, 9);
        expect(plan.holds).toBe(perSide > off.reduce((a, b) => a + b, 0));
        // Eight mitres: more than the outline, by the moulding and the saw.
        const outline = 2 * (plan.frame.width + plan.frame.height);
        expect(plan.mouldingLength - outline).toBeCloseTo(8 * 23, 9);
      },
    ),
  ));

it('ppi is a length turned around: branded, so that it cannot be added to one', () => {
  expect(ppi(300) * toInches(mm(25.4))).toBeCloseTo(300, 9);
});
