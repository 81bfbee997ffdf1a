import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import { adjusted } from './adjusted';

const plain = { ...plainRecipe(300, 1), rule: 1 as 1 | 2 };
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

describe('by rule 2, in the working space', () => {
  const two = (over: Partial<typeof adjust>) => ({ ...by(over), rule: 2 as const });

  it('keeps black, white and opacity, and lightens the middle by its lightness', () => {
    const found = made(two({ lightness: 100 }));
    expect(found.slice(0, 8)).toEqual([0, 0, 0, 255, 255, 255, 255, 128]);
    // L* 53.59 of 128 becomes 100 x sqrt(0.5359) = 73.2, which is 179.6 in sRGB.
    expect(found.slice(8, 11).every((v) => Math.abs(v - 179.6) <= 1)).toBe(true);
    expect(found[15]).toBe(7);
  });

  it('takes all colour away and keeps the lightness', () => {
    const [r, g, b, a] = made(two({ saturation: -100 })).slice(12);
    expect([g, b, a]).toEqual([r, r, 7]);
    // L* of the red is 45.1, that of its grey within 2.5.
    expect(Math.abs(r! - 107)).toBeLessThan(6);
  });
});
