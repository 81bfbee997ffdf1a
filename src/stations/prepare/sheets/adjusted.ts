import { RGB_SPACES, doorOf, iccProfile, readMatrixProfile } from '@/core/colour';
import { chain, intoSixteenBits, wholeOf, workingShaper } from '@/core/image';
import { colourSteps, recipeRows, ruleOf } from '@/core/prepare';
import type { RecipeSteps } from '@/core/prepare';

const once = <T>(make: () => T): (() => T) => {
  let made: { value: T } | undefined;
  return () => (made ??= { value: make() }).value;
};

/** The way of what a screen shows into the working space, and back. */
const screenWays = once(() => {
  const srgb = readMatrixProfile(iccProfile(RGB_SPACES.srgb))!;
  return { door: doorOf(srgb), out: workingShaper(srgb)! };
});

/** Changes 8-bit RGBA of a screen by eye, as a recipe does to the picture. */
export function adjusted(
  { data, width, height }: Pick<ImageData, 'data' | 'width' | 'height'>,
  recipe: RecipeSteps,
): void {
  const steps = colourSteps(recipe);
  if (steps.length === 0) return;
  const { door, out } = screenWays();
  const own = ruleOf(recipe) === 1;
  const shape = { width, height, channels: 3 };
  const whole = { left: 0, top: 0, width, height };
  const rows = recipeRows(
    { ...recipe, steps },
    shape,
    { image: whole, source: whole },
    door,
  );
  const deep = new Uint16Array(width * 3);
  let at = 0;
  const { take } = chain(
    rows.map((r) => r.rows),
    wholeOf(shape),
    (row) => {
      if (own) intoSixteenBits(row, deep, 0);
      else out(row, 3, deep, width);
      for (let i = 0; i < deep.length; i += 3, at += 4)
        for (let c = 0; c < 3; c += 1) data[at + c] = deep[i + c]! / 257;
    },
  );
  const row = new Float32Array(width * 3);
  for (let y = 0, from = 0; y < height; y += 1) {
    for (let i = 0; i < row.length; i += 3, from += 4)
      for (let c = 0; c < 3; c += 1) row[i + c] = data[from + c]! * 257;
    take(row);
  }
}
