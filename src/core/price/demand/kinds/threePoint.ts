import { isCount } from './kind';
import type { DemandKind } from './kind';

/** Three guesses, whole prints. */
export interface ThreePointDemand {
  kind: 'threePoint';
  low: number;
  likely: number;
  high: number;
}

/** Share of a triangle from `a` to `b` with its peak at `c` that lies below x. */
function below(x: number, a: number, c: number, b: number): number {
  if (x <= a) return 0;
  if (x >= b) return 1;
  return x <= c
    ? (x - a) ** 2 / ((b - a) * (c - a))
    : 1 - (b - x) ** 2 / ((b - a) * (b - c));
}

/**
 * A triangle from half a print below `low` to half a print above `high`, its peak at `likely`;
 * a number has what lies within half a print of it. Low and high themselves can happen.
 */
export const threePoint: DemandKind<ThreePointDemand> = {
  mean: ({ low, likely, high }) => {
    let mean = 0;
    const p = threePoint.chances({ kind: 'threePoint', low, likely, high }, high);
    p.forEach((chance, k) => (mean += k * chance));
    return mean;
  },
  chances: ({ low, likely, high }, upTo) => {
    const share = (x: number) => below(x, low - 0.5, likely, high + 0.5);
    return Float64Array.from(
      { length: upTo + 1 },
      (_, k) => share(k + 0.5) - share(k - 0.5),
    );
  },
  fault: ({ low, likely, high }) =>
    isCount(low) && isCount(likely) && isCount(high) && low <= likely && likely <= high
      ? null
      : 'order',
};
