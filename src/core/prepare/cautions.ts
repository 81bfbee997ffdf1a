import { COLOUR_STEPS, stepIn } from './recipe';
import type { Recipe } from './recipe';

/** What a recipe does that one seldom wants. Rules of thumb. */
export type RecipeCaution =
  | 'sharpenedBeforeSize'
  | 'changedAfterSharpening'
  | 'captureAfterSize'
  | 'lossyFile'
  | 'fewBitsForWideSpace'
  | 'notSharpened'
  | 'absoluteIntent';

/** Most figures a person sees: amount times radius from which halos are usual. */
const HALO = 250;

/** What an order of steps does to the picture that is seldom meant: a rule of thumb each, none forbids. */
export function recipeCautions(recipe: Recipe): (RecipeCaution | 'halos')[] {
  const on = recipe.steps.filter((s) => s.on);
  const place = (kind: string) => on.findIndex((s) => s.kind === kind);
  const [size, output, capture] = ['resample', 'output', 'capture'].map(place) as [
    number,
    number,
    number,
  ];
  const adjusting = on.findLastIndex((s) => COLOUR_STEPS.includes(s.kind));
  const found: (RecipeCaution | 'halos')[] = [];
  if (output >= 0 && output < size) found.push('sharpenedBeforeSize');
  if (capture > size) found.push('captureAfterSize');
  if (adjusting >= 0 && output >= 0 && adjusting > output)
    found.push('changedAfterSharpening');
  const strong = stepIn(recipe, 'output');
  if (!strong || strong.amount === 0) found.push('notSharpened');
  else if (strong.amount * strong.radius > HALO) found.push('halos');
  if (recipe.file.format === 'jpeg') found.push('lossyFile');
  if (recipe.file.bits === 8 && recipe.convert.target === 'prophoto-rgb')
    found.push('fewBitsForWideSpace');
  if (recipe.convert.intent === 'absolute') found.push('absoluteIntent');
  return found;
}
