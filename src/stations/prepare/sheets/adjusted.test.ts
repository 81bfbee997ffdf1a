import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import { adjusted } from './adjusted';

const plain = plainRecipe(300, 1);
const adjust = {
  ...stepIn({ steps: plain.steps.map((s) => ({ ...s, on: true })) }, 'adjust')!,
};
const by = (over: Partial<typeof adjust>) => withStep(plain, 1, { ...adjust, ...over });

/** Four pixels in two rows: black, white, a middle grey, a red; each of another opacity. */
const picture = () => ({
  width: 2,
  height: 2,
  data: Uint8ClampedArray.of(
    ...[0, 0, 0, 255],
    ...[255, 255, 255, 128],
    ...[128, 128, 128, 255],
    ...[200, 60, 40, 7],
  ),
});
const made = (recipe: typeof plain) => {
  const image = picture();
  adjusted(image, recipe);
  return [...image.data];
};

it('leaves all as it is where the recipe adjusts nothing, or the step is off', () => {
  expect(made(by({}))).toEqual([...picture().data]);
  expect(made(by({ lightness: 50, on: false }))).toEqual([...picture().data]);
});

it('lightens the middle and keeps black, white and opacity', () => {
  const found = made(by({ lightness: 100 }));
  expect(found.slice(0, 8)).toEqual([0, 0, 0, 255, 255, 255, 255, 128]);
  // v ^ (1/2): 128 of 255 becomes 180.7.
  expect(found.slice(8, 12)).toEqual([181, 181, 181, 255]);
  expect(found[15]).toBe(7);
});

it('takes all colour away, row by row', () => {
  const found = made(by({ saturation: -100 }));
  // 0.25 x 200 + 0.6 x 60 + 0.15 x 40 = 92.
  expect(found.slice(12)).toEqual([92, 92, 92, 7]);
  expect(found.slice(0, 12)).toEqual([...picture().data].slice(0, 12));
});
