import { minor } from '../units';
import type { Minor } from '../units';
import { add, exactly, multiply, nearestWhole } from './exact';

/** A local tax on what is sold, as the studio set it; share 0..1, 0: none. No advice. */
export interface TaxRule {
  name: string;
  share: number;
  /** Whether prices have it in them, or it comes on top. */
  included: boolean;
}

export const NO_TAX: TaxRule = { name: '', share: 0, included: true };

/** A price, its tax, and what the buyer pays; `before` + `tax` = `pays`. Minor units. */
export interface Taxed {
  before: Minor;
  tax: Minor;
  pays: Minor;
}

/**
 * What of a price is tax, to the nearest minor unit, halves up.
 * @example taxOf(minor(12000), { name: 'sales tax', share: 0.2, included: true }) // { before: 10000, tax: 2000, pays: 12000 }
 * @example taxOf(minor(12000), { name: 'sales tax', share: 0.2, included: false }) // { before: 12000, tax: 2400, pays: 14400 }
 */
export function taxOf(price: Minor, { share, included }: TaxRule): Taxed {
  const part = multiply(exactly(price), exactly(share));
  if (!included) {
    const tax = minor(nearestWhole(part));
    return { before: price, tax, pays: minor(price + tax) };
  }
  const whole = add(exactly(1), exactly(share));
  const tax = minor(nearestWhole({ n: part.n * whole.d, d: part.d * whole.n }));
  return { before: minor(price - tax), tax, pays: price };
}
