import { namePatternProblem } from './fileName';
import type { NameProblem } from './fileName';
import { outOfLimits } from './limits';
import type { OutOfLimits } from './limits';
import { ruleOf, stepIn } from './recipe';
import type { Recipe, StepKind } from './recipe';

/** Why a recipe cannot be worked with: a number, its one resizing step, or the name of its file. */
export type RecipeFault =
  | { code: 'limits'; outside: OutOfLimits }
  | { code: 'resizing'; steps: number }
  /** A step whose numbers mean nothing by the rule of before. */
  | { code: 'rule'; step: StepKind }
  | { code: 'name'; problem: NameProblem };

/** The first thing that is wrong with a recipe; null when it can be worked with. */
export function recipeFault(recipe: Recipe): RecipeFault | null {
  const [outside] = outOfLimits(recipe);
  if (outside) return { code: 'limits', outside };
  const steps = recipe.steps.filter((s) => s.kind === 'resample').length;
  if (steps !== 1) return { code: 'resizing', steps };
  if (ruleOf(recipe) === 1 && stepIn(recipe, 'balance'))
    return { code: 'rule', step: 'balance' };
  const problem = namePatternProblem(recipe.file.name);
  return problem ? { code: 'name', problem } : null;
}
