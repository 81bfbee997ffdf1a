import { exactly, leastWhole, multiply } from '../exact';
import type { Fraction } from '../exact';

const ONE: Fraction = { n: 1n, d: 1n };

/** How the price of an edition rises as it sells: after each `every` of it, by `by`. Rule of thumb: a quarter, 15 %. */
export interface EditionSteps {
  every: number;
  by: number;
}

/**
 * How many steps the price has risen when the n-th (from 1) of an edition of N is asked for:
 * as many as whole shares of the edition were sold before it.
 * @example stepOf(9, 30, { every: 0.25, by: 0.15 }) // 1
 * @example stepOf(8, 30, { every: 0.25, by: 0.15 }) // 0
 */
export function stepOf(nth: number, edition: number, { every }: EditionSteps): number {
  const share = exactly(every);
  const whole = BigInt(edition) * share.n;
  return whole <= 0n ? 0 : Number((BigInt(nth - 1) * share.d) / whole);
}

/** Where an edition's price changes: from its `from`-th print on (from 1) it is so many steps up. */
export interface Step {
  from: number;
  step: number;
  /** What the first price is multiplied with. */
  factor: Fraction;
}

/**
 * All steps of an edition; one alone where nothing rises.
 * @example editionSteps(30, { every: 0.25, by: 0.15 }).map((s) => s.from) // [1, 9, 16, 24]
 */
export function editionSteps(edition: number, steps: EditionSteps | null): Step[] {
  const found: Step[] = [{ from: 1, step: 0, factor: ONE }];
  if (!steps) return found;
  const share = exactly(steps.every);
  const up = exactly(1 + steps.by);
  let { factor } = found[0]!;
  for (let step = 1; share.n > 0n; step++) {
    // The first that comes after `step` whole shares of the edition.
    const from = 1 + leastWhole({ n: BigInt(step * edition) * share.n, d: share.d }, ONE);
    if (from > edition) break;
    factor = multiply(factor, up);
    if (found.at(-1)!.from === from) found.pop();
    found.push({ from, step, factor });
  }
  return found;
}
