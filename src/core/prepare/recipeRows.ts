import type { WorkingDoor } from '../colour';
import { OWN_NUMBERS, WORKING_NUMBERS, inWorking, intoWorking } from '../image';
import type { ColourBasis, Shape } from '../image';
import { ruleOf, stepIn, tints } from './recipe';
import type { RecipeSteps } from './recipe';
import { STEPS } from './steps';
import type { RecipeRows, RecipeStep, StepDefinition, StepPlace } from './steps';

export type { RecipeRows } from './steps';

/** The definition of a step, which knows how to carry it out. */
const definitionOf = (step: RecipeStep) =>
  STEPS[step.kind] as unknown as StepDefinition<RecipeStep>;

type Planned = StepPlace['plan'];

/** What the steps of a recipe do, one after the other, each to what the one before hands on. */
export function stepRows(
  { steps }: Pick<RecipeSteps, 'steps'>,
  shape: Shape,
  plan: Planned,
  basis: ColourBasis,
): RecipeRows[] {
  const made: RecipeRows[] = [];
  let now = shape;
  for (const step of steps) {
    if (!step.on) continue;
    for (const next of definitionOf(step).rows(step, { shape: now, plan, basis })) {
      made.push(next);
      now = next.rows.out;
    }
  }
  return made;
}

/** Whether a recipe leaves every pixel of the picture as it is: resized to its own pixels, and nothing else. */
export function changesNothing(recipe: RecipeSteps, shape: Shape, plan: Planned): boolean {
  const { image, source } = plan;
  return (
    stepRows(recipe, shape, plan, WORKING_NUMBERS).length === 1 &&
    source.width === image.width &&
    source.height === image.height &&
    Number.isInteger(source.left) &&
    Number.isInteger(source.top)
  );
}

/** Channels in which a recipe works: by rule 2 a grey picture that is made warmer becomes one of colours. */
export const channelsFor = (recipe: RecipeSteps, channels: 1 | 3): 1 | 3 =>
  ruleOf(recipe) === 2 && turnsColoured(recipe) ? 3 : channels;

/** Whether its steps give colour to greys. */
function turnsColoured(recipe: RecipeSteps): boolean {
  const moved = stepIn(recipe, 'balance');
  return (stepIn(recipe, 'adjust')?.warmth ?? 0) !== 0 || (moved !== null && tints(moved));
}

/**
 * What a recipe does to the rows of a picture (`shape`: as it is, 16-bit values) up to the picture
 * as it is printed (`plan.image`). By rule 2 it comes in by its `door`, and leaves in encoded
 * values of the working space; by rule 1 it never leaves its own numbers. Throws TypeError
 * where a door is wanted and none given.
 */
export function recipeRows(
  recipe: RecipeSteps,
  shape: Shape,
  plan: Planned,
  door: WorkingDoor | null,
): RecipeRows[] {
  if (ruleOf(recipe) === 1) return stepRows(recipe, shape, plan, OWN_NUMBERS);
  if (!door) throw new TypeError('a recipe of rule 2 needs the door of its picture');
  const channels = channelsFor(recipe, shape.channels === 1 ? 1 : 3);
  const first = intoWorking(shape, door, channels);
  const steps = stepRows(recipe, first.out, plan, WORKING_NUMBERS);
  return [{ rows: first, light: true }, ...inWorking(first.out, steps)].map((s) => ({
    key: `working ${channels} ${s.light}`,
    ...s,
  }));
}
