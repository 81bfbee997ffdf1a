import type { Demand } from './demand';

/** Why a demand is taken as it is. */
export interface DemandBecause {
  /** Periods that were looked at, and what was sold in all of them. */
  periods: number;
  sold: number;
  /** Mean and variance of one period. */
  mean: number;
  variance: number;
  /** Variance / mean: near 1 where sales come one by one, larger where they come in clusters. */
  ratio: number;
  /** What the ratio must exceed before clusters are believed (1 in 20 by chance). */
  limit: number;
  model: 'clusters' | 'oneByOne' | 'tooLittle';
}

export interface FittedDemand {
  /** Null where there is too little to tell: three guesses are asked for. */
  demand: Demand | null;
  because: DemandBecause;
}

/** Fewer periods, or fewer sold in all, tell too little. Rule of thumb. */
const LEAST_PERIODS = 6;
const LEAST_SOLD = 6;

/** The upper 5 % point of chi-square with n degrees of freedom (Wilson and Hilferty's cube). */
const chiSquare95 = (n: number): number =>
  n * (1 - 2 / (9 * n) + 1.6448536 * Math.sqrt(2 / (9 * n))) ** 3;

/**
 * What is to be expected over the next `ahead` periods, from what was sold in each of the last.
 * Where the variance is larger than chance explains (index of dispersion, chi-square, 5 %):
 * negative binomial by moments, r = m^2 / (v - m) a period. Else one by one at a pace that so
 * few sales leave open: Poisson with a gamma pace (Jeffreys' prior), which is negative binomial
 * with r = sold + 1/2; the more was sold, the nearer to Poisson.
 * @example fittedDemand([1, 0, 2, 1, 1, 1], 6).because.model // 'oneByOne'
 * @example fittedDemand([1, 0], 6).demand // null
 */
export function fittedDemand(counts: readonly number[], ahead: number): FittedDemand {
  const n = counts.length;
  const sold = counts.reduce((sum, c) => sum + c, 0);
  const mean = n === 0 ? 0 : sold / n;
  const variance =
    n < 2 ? 0 : counts.reduce((sum, c) => sum + (c - mean) ** 2, 0) / (n - 1);
  const ratio = mean === 0 ? 0 : variance / mean;
  const limit = n < 2 ? 0 : chiSquare95(n - 1) / (n - 1);
  const because = (model: DemandBecause['model']): DemandBecause => ({
    periods: n,
    sold,
    mean,
    variance,
    ratio,
    limit,
    model,
  });
  if (n < LEAST_PERIODS || sold < LEAST_SOLD)
    return { demand: null, because: because('tooLittle') };
  if (ratio > limit) {
    const dispersion = (ahead * mean ** 2) / (variance - mean);
    return {
      demand: { kind: 'negativeBinomial', mean: ahead * mean, dispersion },
      because: because('clusters'),
    };
  }
  const dispersion = sold + 0.5;
  return {
    demand: { kind: 'negativeBinomial', mean: (ahead * dispersion) / n, dispersion },
    because: because('oneByOne'),
  };
}
