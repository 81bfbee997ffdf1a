import { intoSixteenBits } from '@/core/image';
import type { RowStep, Shape } from '@/core/image';
import { changesNothing, recipeRows, ruleOf } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { rowConverter } from '../colour/masterColour';
import type { MasterColour } from '../colour/masterColour';
import type { PrintTarget } from '../colour/printTarget';
import type { Samples } from '../colour/workingColour';
import { wayIn, wayOut } from '../colour/workingColour';

/** What a recipe is carried out on. */
export interface WaysWork {
  colour: MasterColour;
  plan: Pick<PrintPlan, 'image' | 'source'>;
  recipe: Pick<Recipe, 'rule' | 'steps' | 'convert'>;
  into: PrintTarget;
}

/** How rows come from a working copy into a recipe, and from it into the target's 16-bit values. */
export interface Ways {
  /** What the recipe's steps do, and what comes before them. */
  steps: RowStep[];
  /** What the samples go through before they are rows. */
  before: ((samples: Uint16Array, pixels: number) => Samples) | null;
  /** So many pixels as the target holds them. */
  out: (rows: Float32Array, pixels: number) => Uint16Array;
  close: () => void;
}

/** In the picture's own numbers, and from them into the target at once. */
async function ownWays(work: WaysWork, shape: Shape, channels: 1 | 3): Promise<Ways> {
  const { colour, plan, recipe, into } = work;
  const converter = await rowConverter(colour, channels, into, {
    ...recipe.convert,
    exact: true,
    keepWhite: ruleOf(recipe) !== 1,
  });
  let deep = new Uint16Array(0);
  return {
    steps: recipeRows({ ...recipe, rule: 1 }, shape, plan, null).map((s) => s.rows),
    before: null,
    out(rows, pixels) {
      if (deep.length < rows.length) deep = new Uint16Array(rows.length);
      intoSixteenBits(rows, deep, 0);
      return converter.toTarget(deep, pixels);
    },
    close: () => converter.close(),
  };
}

/** Through the working space. */
async function workingWays(work: WaysWork, shape: Shape, channels: 1 | 3): Promise<Ways> {
  const { colour, plan, recipe, into } = work;
  const { door, before, close } = await wayIn(colour, channels, recipe.convert);
  const way = await wayOut(colour, into, recipe.convert);
  const steps = recipeRows(recipe, shape, plan, door).map((s) => s.rows);
  const made = steps.at(-1)!.out.channels;
  return {
    steps,
    before,
    out: (rows, pixels) => way.toTarget(rows, made, pixels),
    close() {
      close();
      way.close();
    },
  };
}

/**
 * The ways of a recipe by its rule, for a picture of a shape. What changes no pixel is converted
 * straight.
 */
export function waysOf(work: WaysWork, shape: Shape, channels: 1 | 3): Promise<Ways> {
  const own = ruleOf(work.recipe) === 1 || changesNothing(work.recipe, shape, work.plan);
  return (own && !work.colour.carried ? ownWays : workingWays)(work, shape, channels);
}
