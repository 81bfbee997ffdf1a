import { STEPS, coloursThrough, plainRecipe, stepIn } from '../../prepare';
import type { Recipe, RecipeStep } from '../../prepare';
import { usualChanges, withUsual } from '.';
import type { PastRound } from '.';

const plain = plainRecipe(300, 1);
/** A recipe that is lighter and warmer by so much, and moves its shadows. */
const recipe = (lightness: number, warmth = 0, shadows = 0): Recipe => {
  const usual = { ppi: 0, radius: 0 };
  const moved: RecipeStep[] = [
    { ...STEPS.adjust.usual(usual), on: true, lightness, warmth },
    { ...STEPS.balance.usual(usual), on: true },
  ];
  const balance = moved[1] as Extract<RecipeStep, { kind: 'balance' }>;
  moved[1] = { ...balance, tones: balance.tones.map((v, i) => (i === 0 ? shadows : v)) };
  const others: RecipeStep[] = plain.steps.filter(
    (s) => s.kind !== 'adjust' && s.kind !== 'balance',
  );
  const at = others.findIndex((s) => s.kind === 'resample');
  return { ...plain, steps: others.toSpliced(at, 0, ...moved) };
};
const rounds = (workId: number, ...recipes: (Recipe | null)[]): PastRound[] =>
  recipes.map((of, i) => ({
    workId,
    sizeKey: 'isoA-A3',
    recipe: of,
    verdict: i === recipes.length - 1 ? 'approved' : 'changeAndRepeat',
  }));

it('tells what most of the last four works needed, from their first round to the approved one', () => {
  const { works, changes } = usualChanges([
    // Older than the last four: not looked back at.
    ...rounds(1, recipe(0), recipe(90)),
    ...rounds(2, recipe(0), recipe(4), recipe(6, -3)),
    ...rounds(3, recipe(2), recipe(5)),
    ...rounds(4, recipe(0), recipe(3, 2, 1.5)),
    ...rounds(5, recipe(0), recipe(0, 4, 2)),
  ]);
  expect(works).toBe(4);
  expect(changes).toEqual([
    // Warmer in two, cooler in one: not most of four. Shadows in two: no more than half.
    { step: 'adjust', part: 'lightness', at: 0, by: 4, works: 3 },
  ]);
});

it.each([
  ['no recipe at first', rounds(1, null, recipe(4))],
  ['by the rule of before', rounds(1, { ...recipe(0), rule: 1 }, recipe(4))],
  ['never approved', rounds(1, recipe(0), recipe(4)).map((r) => ({ ...r, verdict: null }))],
])('a work tells nothing that was %s', (_, of) => {
  expect(usualChanges(of)).toEqual({ works: 0, changes: [] });
});

it('works that needed nothing count: two of four are not most', () => {
  const two = [1, 2].flatMap((id) => rounds(id, recipe(0), recipe(4)));
  expect(usualChanges(two).changes).toMatchObject([{ by: 4, works: 2 }]);
  const atOnce = [3, 4].flatMap((id) => rounds(id, recipe(2)));
  expect(usualChanges([...two, ...atOnce])).toEqual({ works: 4, changes: [] });
});

it('what is said is as fine as what is done', () => {
  const three = [4, 4, 5].flatMap((v, id) => rounds(id, recipe(0), recipe(v)));
  const { changes } = usualChanges(three);
  expect(changes).toMatchObject([{ by: 4, works: 3 }]);
  const steps = withUsual(recipe(1).steps, { changes });
  expect(stepIn({ ...plain, steps }, 'adjust')).toMatchObject({ lightness: 5 });
});

it('one work alone tells no usual; two that agree do', () => {
  const one = rounds(1, recipe(0), recipe(4));
  expect(usualChanges(one)).toEqual({ works: 1, changes: [] });
  const two = usualChanges([...one, ...rounds(2, recipe(0), recipe(2))]);
  expect(two.changes).toMatchObject([{ part: 'lightness', by: 3, works: 2 }]);
});

it('is put into a recipe, on top of what it has, within the limits; colours move accordingly', () => {
  const lighter = {
    changes: [{ step: 'adjust', part: 'lightness', at: 0, by: 3, works: 2 }],
  };
  const steps = withUsual(plain.steps, lighter as never);
  expect(stepIn({ ...plain, steps }, 'adjust')).toMatchObject({ on: true, lightness: 3 });
  expect(stepIn({ ...plain, steps }, 'balance')).toBeNull();
  const [[l]] = coloursThrough(steps, [[50, 0, 0]]) as [[number, number, number]];
  expect(l).toBeGreaterThan(50.5);
  const more = withUsual(recipe(99, 1).steps, lighter as never);
  expect(stepIn({ ...plain, steps: more }, 'adjust')).toMatchObject({
    lightness: 100,
    warmth: 1,
  });
  // Nothing usual changes nothing.
  expect(coloursThrough(withUsual(plain.steps, { changes: [] }), [[30, 4, 9]])).toEqual(
    coloursThrough(plain.steps, [[30, 4, 9]]),
  );
});
