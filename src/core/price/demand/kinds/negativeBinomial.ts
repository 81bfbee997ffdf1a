import { isAmount } from './kind';
import type { DemandKind } from './kind';

/**
 * Wanted in clusters, or at a pace that is itself not known: variance = mean + mean^2 /
 * dispersion. `dispersion` is the size r (shape of the gamma that the mean is drawn from): the
 * smaller, the wider; a very large one is Poisson.
 */
export interface NegativeBinomialDemand {
  kind: 'negativeBinomial';
  mean: number;
  dispersion: number;
}

/** P(0) = (r / (r + m))^r; P(k) = P(k - 1) (k - 1 + r) / k x m / (r + m), by logarithms. */
export const negativeBinomial: DemandKind<NegativeBinomialDemand> = {
  mean: ({ mean }) => mean,
  chances: ({ mean, dispersion: r }, upTo) => {
    const p = new Float64Array(upTo + 1);
    let log = -r * Math.log1p(mean / r);
    const share = mean / (r + mean);
    for (let k = 0; k <= upTo; k++) {
      if (k > 0) log += Math.log(((k - 1 + r) / k) * share);
      p[k] = Math.exp(log);
    }
    return p;
  },
  fault: ({ mean, dispersion }) =>
    !isAmount(mean)
      ? 'mean'
      : Number.isFinite(dispersion) && dispersion > 0 && dispersion <= 1e9
        ? null
        : 'dispersion',
};
