import { LIMITS, plainRecipe, recipeFault, screenRecipe, stepRows, withStep } from '..';
import { WORKING_NUMBERS } from '../../image';
import { STEPS } from '.';

const recipe = plainRecipe(300, 1.4);

it('a recipe begins with one step of each kind, in their order', () => {
  expect(recipe.steps.map((s) => s.kind)).toEqual(Object.keys(STEPS));
  expect(recipe.steps.filter((s) => s.on).map((s) => s.kind)).toEqual([
    'resample',
    'output',
  ]);
});

it('every number of a step has its limits, and begins within them', () => {
  for (const step of recipe.steps)
    for (const name of STEPS[step.kind].numbers) {
      const [least, most] = LIMITS[name as keyof typeof LIMITS];
      const value = (step as unknown as Record<string, number>)[name]!;
      expect([name, value >= least && value <= most]).toEqual([name, true]);
    }
});

it('what is switched off does nothing; what is on makes the rows of the print', () => {
  const shape = { width: 40, height: 30, channels: 3 as const };
  const plan = {
    image: { left: 0, top: 0, width: 20, height: 15 },
    source: { left: 0, top: 0, width: 40, height: 30 },
  };
  const made = stepRows(recipe, shape, plan, WORKING_NUMBERS);
  expect(made).toHaveLength(2);
  expect(made.at(-1)!.rows.out).toMatchObject({ width: 20, height: 15 });
  const unsharpened = withStep(recipe, 4, { ...recipe.steps[4]!, on: false } as never);
  expect(stepRows(unsharpened, shape, plan, WORKING_NUMBERS)).toHaveLength(1);
});

it('says the first thing that a recipe cannot be worked with for', () => {
  expect(recipeFault(recipe)).toBeNull();
  const loud = withStep(recipe, 4, { ...recipe.steps[4]!, amount: 900 } as never);
  expect(recipeFault(loud)).toMatchObject({
    code: 'limits',
    outside: { step: 4, field: 'amount', value: 900 },
  });
  expect(recipeFault({ ...recipe, steps: [recipe.steps[4]!] })).toEqual({
    code: 'resizing',
    steps: 0,
  });
  expect(recipeFault({ ...recipe, file: { ...recipe.file, name: '{title}' } })).toEqual({
    code: 'name',
    problem: { code: 'sizeFirst' },
  });
});

it('a screen copy keeps the colours of the print, and no more', () => {
  const adjusted = withStep(recipe, 1, {
    ...recipe.steps[1]!,
    on: true,
    warmth: 12,
  } as never);
  const copy = screenRecipe(adjusted, 80);
  expect(copy.steps[1]).toMatchObject({ on: true, warmth: 12 });
  expect(copy.steps[4]).toMatchObject({ amount: 40 });
  expect(copy.convert.target).toBe('srgb');
  expect(copy.file).toMatchObject({ format: 'jpeg', quality: 80 });
  expect(screenRecipe(recipe, 80).steps[1]).toMatchObject({ on: false });
});
