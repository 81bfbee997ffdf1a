/** A way of saying how many will be wanted in one period. */
export interface DemandKind<D> {
  /** Mean number wanted. */
  mean(demand: D): number;
  /** Chances of 0, 1, … `upTo` being wanted; what is missing to 1 lies above. */
  chances(demand: D, upTo: number): Float64Array;
  /** What cannot be; null where it can be reckoned with. */
  fault(demand: D): 'mean' | 'dispersion' | 'order' | 'counts' | null;
}

/** Whether a number can be a mean: from 0 to a million. */
export const isAmount = (x: number): boolean => Number.isFinite(x) && x >= 0 && x <= 1e6;
/** Whether a number can be a number of prints. */
export const isCount = (x: number): boolean => Number.isInteger(x) && isAmount(x);
