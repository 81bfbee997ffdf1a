import { minor } from '../units';
import type { Minor } from '../units';
import { add, exactly, leastWhole, subtract } from './exact';
import type { Fraction } from './exact';

/**
 * How prices are rounded: up to the next multiple of `step`, less `less`. To 5: step 500,
 * less 0; to .95: step 100, less 5. Minor units.
 */
export interface Rounding {
  step: Minor;
  less: Minor;
}

/**
 * The lowest price in that style that is not below an exact amount, and not below 0.
 * @example roundedUp({ n: 10580n, d: 1n }, { step: minor(100), less: minor(5) }) // 10595
 */
export function roundedUp(exact: Fraction, { step, less }: Rounding): Minor {
  const steps = leastWhole(add(exact, exactly(less)), exactly(step));
  return minor(Math.max(steps * step - less, 0));
}

/**
 * The highest price in that style that is not above an amount; the amount itself where none is.
 * @example roundedDown(minor(10580), { step: minor(500), less: minor(0) }) // 10500
 */
export function roundedDown(most: Minor, { step, less }: Rounding): Minor {
  const steps = -leastWhole(subtract(exactly(0), exactly(most + less)), exactly(step));
  const price = steps * step - less;
  return minor(price > 0 ? price : most);
}
