import fc from 'fast-check';
import { ASPECTS, nearestPrints, offBy, proposedRecipe } from '.';
import type { Opinion, PrintCase, RememberedPrint } from '.';
import { plainRecipe, stepIn } from '../prepare';

const recipe = plainRecipe(300, 1.4);
const right: Opinion = { sharpness: 0, grain: 0, halos: 0, tone: 0, colour: 0 };
const asked: PrintCase = {
  factor: 1.6,
  source: 'film',
  detail: 0.8,
  paperId: 7,
  base: 'cotton',
  surface: 'matte',
};
const print = (id: number, over: Partial<RememberedPrint> = {}): RememberedPrint => ({
  ...asked,
  id,
  recipe,
  opinion: null,
  ...over,
});
const ids = (prints: RememberedPrint[]) =>
  nearestPrints(asked, prints, 9).map((n) => n.print.id);

it('nearest by enlargement, source, detail and paper', () => {
  expect(
    ids([
      print(1, { factor: 3.2 }),
      print(2),
      print(3, { factor: 1.7 }),
      print(4, { source: 'camera' }),
      print(5, { paperId: 8 }),
      print(6, { paperId: 9, surface: 'gloss', base: 'alpha cellulose' }),
      print(7, { detail: 0.5 }),
    ]),
  ).toEqual([2, 3, 5, 7, 6, 4, 1]);
  const [, far] = nearestPrints(asked, [print(1), print(2, { factor: 3.2 })], 9).reverse();
  expect(far!.distance).toBe(0);
  const [doubled] = nearestPrints(asked, [print(2, { factor: 3.2 })], 1);
  expect(doubled).toMatchObject({
    distance: 1,
    because: { factor: 1, source: 0, paper: 0 },
  });
});

it('what is not asked does not count', () => {
  const open = {
    ...asked,
    source: null,
    detail: null,
    paperId: null,
    surface: null,
    base: null,
  };
  const other = print(1, { source: 'camera', detail: 0.2, paperId: 3, surface: 'gloss' });
  expect(nearestPrints(open, [other], 1)[0]!.distance).toBe(0);
});

it('proposes nothing out of what nobody judged', () => {
  expect(proposedRecipe(nearestPrints(asked, [print(1)], 5))).toBeNull();
});

it('proposes what was right, before what was nearer and wrong', () => {
  const wrong = { ...right, halos: 3, sharpness: 2 };
  const prints = [
    print(1, { opinion: wrong }),
    print(2, { factor: 1.9, opinion: right }),
    print(3, { factor: 6, opinion: right }),
  ];
  expect(proposedRecipe(nearestPrints(asked, prints, 5))).toEqual({
    recipe,
    from: 2,
    changes: [],
  });
});

it('answers what was still found wrong', () => {
  const opinion = { sharpness: 1, halos: 1, grain: 2, tone: -1, colour: 1 };
  const found = proposedRecipe(nearestPrints(asked, [print(1, { opinion })], 5))!;
  expect(found.changes.map((c) => [c.aspect, c.field, c.was, c.now])).toEqual([
    ['sharpness', 'amount', 60, 50],
    ['halos', 'radius', 1.4, 1.2],
    ['grain', 'noise', 0, 20],
    ['tone', 'lightness', 0, 4],
    ['colour', 'saturation', 0, -5],
  ]);
  expect(stepIn(found.recipe, 'output')).toMatchObject({ amount: 50, radius: 1.2 });
  // Grain goes, and the capture is not sharpened for it.
  expect(stepIn(found.recipe, 'capture')).toMatchObject({ amount: 0, noise: 20 });
  expect(stepIn(found.recipe, 'adjust')).toMatchObject({ lightness: 4, saturation: -5 });
  expect(stepIn(recipe, 'adjust')).toBeNull();
});

it('being further off never makes it better', () => {
  const opinion = fc.record({
    sharpness: fc.integer({ min: -2, max: 2 }),
    grain: fc.integer({ min: 0, max: 3 }),
    halos: fc.integer({ min: 0, max: 3 }),
    tone: fc.integer({ min: -2, max: 2 }),
    colour: fc.integer({ min: -2, max: 2 }),
  });
  fc.assert(
    fc.property(opinion, (o) => {
      expect(offBy(o)).toBeGreaterThanOrEqual(0);
      const worse = { ...o, halos: Math.min(ASPECTS.halos[1], o.halos + 1) };
      expect(offBy(worse)).toBeGreaterThanOrEqual(offBy(o));
      const found = proposedRecipe(nearestPrints(asked, [print(1, { opinion: o })], 1))!;
      const output = stepIn(found.recipe, 'output')!;
      expect(output.amount).toBeGreaterThanOrEqual(0);
      expect(output.radius).toBeGreaterThanOrEqual(0.3);
    }),
  );
});
