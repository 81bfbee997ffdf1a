import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import { recipeLine } from './recipeWords';

const recipe = plainRecipe(300, 1.4);

it('says a recipe in a line', () => {
  expect(recipeLine(recipe)).toBe('Lanczos 3 at 300 ppi, sharpened 60 % 1.4 px');
  const output = stepIn(recipe, 'output')!;
  expect(recipeLine(withStep(recipe, 4, { ...output, on: false }))).toBe(
    'Lanczos 3 at 300 ppi, not sharpened',
  );
  expect(recipeLine({ ...recipe, rule: 1 })).toMatch(/, by the rule of before$/);
});
