import { RECIPE_RULE, ruleOf } from '../../prepare';
import type { Recipe, RecipeStep } from '../../prepare';
import {
  EVERYWHERE,
  closedSteps,
  isSameNumber,
  numberOf,
  numbersMoved,
  openSteps,
  withNumbers,
} from './numbers';
import type { NumberMoved } from './numbers';

/** A round as it is looked back at. */
export interface PastRound {
  workId: number;
  sizeKey: string;
  recipe: Recipe | null;
  verdict: string | null;
}

/** A number that was moved in most works before they were approved. */
export interface UsualChange extends Pick<NumberMoved, 'step' | 'part' | 'at'> {
  /** By how much, in the mean of those in which it was. */
  by: number;
  /** In how many it was moved that way. */
  works: number;
}

/** What works on a paper usually need, from those that were approved there. */
export interface UsualChanges {
  /** Works that were looked back at. */
  works: number;
  /** The most frequent first. */
  changes: UsualChange[];
}

/** Works that are looked back at, and those of them in which a number must have been moved one way. */
const LOOKED_BACK = 4;
const LEAST_WORKS = 2;

const isNow = (recipe: Recipe | null): recipe is Recipe =>
  recipe !== null && ruleOf(recipe) === RECIPE_RULE;

/**
 * From the first recipe of a work on a paper to the one that was approved: nothing where that was the
 * first; null where it does not say both.
 */
function changeOf(rounds: readonly PastRound[]): NumberMoved[] | null {
  const approved = rounds.findLast((r) => r.verdict === 'approved');
  const first = rounds.find((r) => r.sizeKey === approved?.sizeKey);
  if (!approved || !first || !isNow(approved.recipe) || !isNow(first.recipe)) return null;
  return numbersMoved(first.recipe.steps, approved.recipe.steps);
}

/**
 * What was changed in the last works on a paper from their first round to the one that was approved: the
 * numbers that were moved one way in at least two of four, and in most; works that were approved at once
 * count among them. `rounds`: on that paper, oldest first. Works whose rounds do not say their recipe, or
 * say one of an earlier rule, tell nothing.
 */
export function usualChanges(rounds: readonly PastRound[]): UsualChanges {
  const works = [...new Set(rounds.map((r) => r.workId))];
  const told = works
    .map((id) => changeOf(rounds.filter((r) => r.workId === id)))
    .filter((c) => c !== null)
    .slice(-LOOKED_BACK);
  const changes = EVERYWHERE.flatMap((place): UsualChange[] => {
    const { step, part, at, fine } = place;
    const moves = told.flatMap((moved) =>
      moved.filter((m) => isSameNumber(m, place)).map((m) => m.now - m.was),
    );
    const up = moves.filter((v) => v > 0);
    const down = moves.filter((v) => v < 0);
    const most = up.length >= down.length ? up : down;
    if (most.length < LEAST_WORKS || most.length * 2 <= told.length) return [];
    const mean = most.reduce((sum, v) => sum + v, 0) / most.length;
    // As finely as a recipe is changed: what is said is what is done.
    const by = Math.round(mean / fine) * fine;
    return by === 0 ? [] : [{ step, part, at, by, works: most.length }];
  });
  return { works: told.length, changes: changes.sort((a, b) => b.works - a.works) };
}

/** Steps with what is usually changed already in them, within the limits of each number. */
export function withUsual(
  steps: readonly RecipeStep[],
  { changes }: Pick<UsualChanges, 'changes'>,
): RecipeStep[] {
  const opened = openSteps(steps);
  const numbers = EVERYWHERE.map((place) => {
    const by = changes.find((c) => isSameNumber(c, place))?.by ?? 0;
    return Math.min(place.most, Math.max(place.least, numberOf(opened, place) + by));
  });
  return closedSteps(withNumbers(opened, EVERYWHERE, numbers));
}
