import { KERNELS } from '@/core/image';
import { RECIPE_RULE, ppiOf, resampling, ruleOf, stepIn } from '@/core/prepare';
import type { Intent, Recipe } from '@/core/prepare';

export const INTENT_NAMES: Record<Intent, string> = {
  relative: 'relative colorimetric',
  perceptual: 'perceptual',
  saturation: 'saturation',
  absolute: 'absolute colorimetric',
};

/** A recipe in one line, as the log book says it. */
export function recipeLine(recipe: Recipe): string {
  const capture = stepIn(recipe, 'capture');
  const output = stepIn(recipe, 'output');
  return [
    `${KERNELS[resampling(recipe).kernel].name} at ${ppiOf(recipe)} ppi`,
    ...(capture && capture.amount > 0
      ? [`capture ${capture.amount} % ${capture.radius} px`]
      : []),
    ...(capture && capture.noise > 0 ? [`noise ${capture.noise} %`] : []),
    output ? `sharpened ${output.amount} % ${output.radius} px` : 'not sharpened',
    ...(ruleOf(recipe) === RECIPE_RULE ? [] : ['by the rule of before']),
  ].join(', ');
}
