import { balanced, labOfWorking, workingOfLab } from '../colour';
import type { Vector } from '../colour';
import { WORKING_NUMBERS, adjustColours } from '../image';
import { ADJUSTED } from './steps';
import type { RecipeStep } from './recipe';

/**
 * CIELAB colours after the steps of a recipe (of the rule of now) that change colours; other steps
 * leave even areas as they are. Colours beyond the working space end at its edge where they are
 * adjusted.
 */
export function coloursThrough(
  steps: readonly RecipeStep[],
  labs: readonly Readonly<Vector>[],
): Vector[] {
  let now = labs.map((lab): Vector => [...lab]);
  for (const step of steps) {
    if (!step.on) continue;
    if (step.kind === 'balance') now.forEach(balanced(step));
    // What moves nothing is left out, as it is for the rows of a picture.
    if (step.kind !== 'adjust' || ADJUSTED.every((field) => step[field] === 0)) continue;
    const encoded = now.map(workingOfLab);
    adjustColours(encoded, step, WORKING_NUMBERS);
    now = encoded.map(labOfWorking);
  }
  return now;
}
