import type { Quantity } from './quantity';

/** Sum of quantities of one unit. */
export const sum = <U extends string>(
  first: Quantity<U>,
  ...rest: Quantity<NoInfer<U>>[]
): Quantity<U> => rest.reduce<number>((total, q) => total + q, first) as Quantity<U>;

/** Difference of two quantities of one unit. */
export const minus = <U extends string>(
  a: Quantity<U>,
  b: Quantity<NoInfer<U>>,
): Quantity<U> => (a - b) as Quantity<U>;

/** A quantity times a bare factor. */
export const times = <U extends string>(q: Quantity<U>, factor: number): Quantity<U> =>
  (q * factor) as Quantity<U>;

/**
 * How many times `b` goes into `a`, without a unit.
 * @example ratio(mm(10), mm(4)) // 2.5
 */
export const ratio = <U extends string>(a: Quantity<U>, b: Quantity<NoInfer<U>>): number =>
  a / b;
