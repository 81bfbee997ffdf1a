import fc from 'fast-check';
import { mm } from '../units';
import {
  SIZE_RULES,
  WHOLE,
  cropAt,
  fitToSheet,
  judgeSize,
  largestCrisp,
  largestEnlarged,
  plainLayout,
} from '.';
import type { CrispGrade, CropRect, EnlargedGrade, MasterPixels, SizeRules } from '.';

const CRISP: CrispGrade[] = ['inHand', 'whereStand', 'softUpClose'];
const ENLARGED: EnlargedGrade[] = ['native', 'resamplerHolds', 'proofFirst'];

/** A print of a part of a master so wide, judged like any other. */
function judged(master: MasterPixels, part: CropRect, width: number, rules: SizeRules) {
  const height = (width * master.height * part.height) / (master.width * part.width);
  const image = { width: mm(width), height: mm(height) };
  const whole = fitToSheet(image, width / height, plainLayout('fill', mm(0)));
  return judgeSize(master, { ...whole, image, crop: part }, rules);
}

/** The widest that passes, found by trying; Infinity when even 10 km does. */
function byTrying(passes: (width: number) => boolean): number {
  const most = 1e7;
  if (passes(most)) return Infinity;
  let last = 0;
  for (let width = 1; width < most; width *= 1.05) if (passes(width)) last = width;
  let [low, high] = [last, last * 1.05];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (passes(middle)) low = middle;
    else high = middle;
  }
  return low;
}

const masters = fc.record({
  width: fc.integer({ min: 80, max: 12_000 }),
  height: fc.integer({ min: 80, max: 12_000 }),
  detail: fc.constantFrom(null, 1, 0.67, 0.4),
});
const someRules = fc
  .record({
    standing: fc.constantFrom('diagonal' as const, 'fixed' as const, 'hand' as const),
    standingFactor: fc.double({ min: 0.5, max: 3, noNaN: true }),
    standingFixedMm: fc.integer({ min: 300, max: 8000 }),
    stepUpShare: fc.constantFrom(0.1, 0.5, 1),
    shortBeyond: fc.constantFrom(1, 1.25, 2),
  })
  .map((r): SizeRules => ({ ...SIZE_RULES, ...r }));
const parts = fc.constantFrom(WHOLE, cropAt(0.7, 1, { x: 0.2, y: 0.9, zoom: 0.6 }));

it('every largest crisp size is the one that trying finds', () =>
  fc.assert(
    fc.property(
      masters,
      someRules,
      parts,
      fc.constantFrom(...CRISP),
      (master, rules, part, grade) => {
        const good = CRISP.slice(0, CRISP.indexOf(grade) + 1) as string[];
        const found = byTrying((width) =>
          good.includes(judged(master, part, width, rules).verdict),
        );
        const solved = largestCrisp(grade, master, rules, part);
        if (solved === 'any') return expect(found).toBe(Infinity);
        expect(found / solved.width).toBeCloseTo(1, 6);
      },
    ),
    { numRuns: 60 },
  ));

it('and so is every largest size by enlargement', () =>
  fc.assert(
    fc.property(masters, parts, fc.constantFrom(...ENLARGED), (master, part, grade) => {
      const good = ENLARGED.slice(0, ENLARGED.indexOf(grade) + 1) as string[];
      const found = byTrying((width) =>
        good.includes(judged(master, part, width, SIZE_RULES).enlarging),
      );
      const solved = largestEnlarged(grade, master, SIZE_RULES, part);
      expect(found / solved.width).toBeCloseTo(1, 6);
    }),
    { numRuns: 30 },
  ));

it('7087 x 9449 px are crisp in the hand up to where 3438 / ppi inches are 30 cm', () => {
  const solved = largestCrisp('inHand', { width: 7087, height: 9449 }, SIZE_RULES);
  // ppi = 3438 x 25.4 / 300 = 291.1; 7087 / 291.1 in = 618.4 mm.
  expect(solved).toMatchObject({ width: expect.closeTo(618.4, 1) as number });
});
