import { demandChances, meanDemand } from './demand';
import type { Demand } from './demand';

/** Wider than this nobody's demand is looked at when its spread is taken. */
const FAR = 20_000;

function varianceOf(demand: Demand): number {
  const mean = meanDemand(demand);
  return demandChances(demand, FAR).reduce((sum, p, k) => sum + p * (k - mean) ** 2, 0);
}

/**
 * A demand over some periods as one of a single period: as many of them, each by itself, have its
 * mean and, where it is wider than chance, its variance. Negative binomial with r / n; narrower
 * ones become Poisson.
 * @example perPeriod({ kind: 'negativeBinomial', mean: 24, dispersion: 6 }, 12) // { kind: 'negativeBinomial', mean: 2, dispersion: 0.5 }
 */
export function perPeriod(demand: Demand, periods: number): Demand {
  const mean = meanDemand(demand) / periods;
  if (demand.kind === 'negativeBinomial')
    return { kind: 'negativeBinomial', mean, dispersion: demand.dispersion / periods };
  const more = varianceOf(demand) - mean * periods;
  return demand.kind === 'poisson' || more <= 1e-9
    ? { kind: 'poisson', mean }
    : { kind: 'negativeBinomial', mean, dispersion: (mean ** 2 * periods) / more };
}
