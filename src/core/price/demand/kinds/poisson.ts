import { isAmount } from './kind';
import type { DemandKind } from './kind';

/** Wanted one by one, each by itself: variance = mean. */
export interface PoissonDemand {
  kind: 'poisson';
  mean: number;
}

/** P(k) = m^k e^-m / k!, by its logarithm, so that a large mean does not vanish. */
export const poisson: DemandKind<PoissonDemand> = {
  mean: ({ mean }) => mean,
  chances: ({ mean }, upTo) => {
    const p = new Float64Array(upTo + 1);
    if (mean === 0) {
      p[0] = 1;
      return p;
    }
    let log = -mean;
    for (let k = 0; k <= upTo; k++) {
      if (k > 0) log += Math.log(mean / k);
      p[k] = Math.exp(log);
    }
    return p;
  },
  fault: ({ mean }) => (isAmount(mean) ? null : 'mean'),
};
