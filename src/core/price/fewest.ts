import { leastWhole, signOf } from './exact';
import type { Fraction } from './exact';

/**
 * The fewest sales that pay something, each leaving `each`; null where none does.
 * @example fewestFor({ n: 100n, d: 1n }, { n: 30n, d: 1n }) // 4
 */
export const fewestFor = (paid: Fraction, each: Fraction): number | null =>
  signOf(paid) <= 0 ? 0 : signOf(each) <= 0 ? null : leastWhole(paid, each);
