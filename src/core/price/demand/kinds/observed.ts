import { isCount } from './kind';
import type { DemandKind } from './kind';

/** What was wanted in each of some periods; each may come again with the same chance. */
export interface ObservedDemand {
  kind: 'observed';
  counts: readonly number[];
}

export const observed: DemandKind<ObservedDemand> = {
  mean: ({ counts }) => counts.reduce((sum, c) => sum + c, 0) / counts.length,
  chances: ({ counts }, upTo) => {
    const times = new Float64Array(upTo + 1);
    for (const c of counts) if (c <= upTo) times[c]!++;
    return times.map((n) => n / counts.length);
  },
  fault: ({ counts }) => (counts.length > 0 && counts.every(isCount) ? null : 'counts'),
};
