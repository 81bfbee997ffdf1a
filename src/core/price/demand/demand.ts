import type { DemandKind } from './kinds/kind';
import { negativeBinomial } from './kinds/negativeBinomial';
import type { NegativeBinomialDemand } from './kinds/negativeBinomial';
import { observed } from './kinds/observed';
import type { ObservedDemand } from './kinds/observed';
import { poisson } from './kinds/poisson';
import type { PoissonDemand } from './kinds/poisson';
import { threePoint } from './kinds/threePoint';
import type { ThreePointDemand } from './kinds/threePoint';

/** How many will be wanted in one period, as far as that is known. */
export type Demand =
  PoissonDemand | NegativeBinomialDemand | ThreePointDemand | ObservedDemand;

/** Every way of saying it. */
const KINDS = { poisson, negativeBinomial, threePoint, observed };
export const DEMAND_KINDS = Object.keys(KINDS) as Demand['kind'][];

const kindOf = (demand: Demand) => KINDS[demand.kind] as DemandKind<Demand>;

/**
 * What cannot be in a demand; null where it can be reckoned with.
 * @example demandFault({ kind: 'threePoint', low: 5, likely: 3, high: 9 }) // 'order'
 */
export const demandFault = (demand: Demand) => kindOf(demand).fault(demand);

/** @example meanDemand({ kind: 'observed', counts: [2, 5, 2] }) // 3 */
export const meanDemand = (demand: Demand): number => kindOf(demand).mean(demand);

/**
 * Chances of 0, 1, … `upTo` being wanted; what is missing to 1 lies above.
 * @example [...demandChances({ kind: 'observed', counts: [0, 2, 2, 9] }, 3)] // [0.25, 0, 0.5, 0]
 */
export const demandChances = (demand: Demand, upTo: number): Float64Array =>
  kindOf(demand).chances(demand, upTo);

/**
 * Chances that 0, 1, … `upTo` or fewer are wanted.
 * @example [...demandWithin({ kind: 'observed', counts: [0, 2] }, 2)] // [0.5, 0.5, 1]
 */
export function demandWithin(demand: Demand, upTo: number): Float64Array {
  let sum = 0;
  return demandChances(demand, upTo).map((p) => (sum = Math.min(1, sum + p)));
}
