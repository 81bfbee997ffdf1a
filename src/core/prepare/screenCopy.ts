import { COLOUR_STEPS, plainRecipe, ruleOf, stepIn } from './recipe';
import type { Recipe, RecipeSteps } from './recipe';

/** Resolution that a screen copy says of itself, ppi; screens do not look at it. */
const SCREEN_PPI = 96;
const SCREEN_NAME = '{size}_{title}_screen_v{version}';
/** Sharpened lightly: a screen has no dots to lose sharpness in. % (rule of thumb). */
const SCREEN_AMOUNT = 40;

/**
 * The recipe of a copy for screens: the colours that a print recipe adjusts, sRGB, JPEG of a
 * quality (1..100), lightly sharpened; by the same rule.
 */
export function screenRecipe(print: RecipeSteps, quality: number): Recipe {
  const usual = plainRecipe(SCREEN_PPI, 0.5);
  return {
    ...usual,
    rule: ruleOf(print),
    steps: usual.steps.map((s) => {
      if (COLOUR_STEPS.includes(s.kind)) return stepIn(print, s.kind) ?? s;
      return s.kind === 'output' ? { ...s, amount: SCREEN_AMOUNT } : s;
    }),
    convert: { target: 'srgb', intent: 'relative', blackPoint: true },
    file: { ...usual.file, format: 'jpeg', quality, name: SCREEN_NAME },
  };
}
