/**
 * Property tests start from the same seed each time, so that one run can be held against the
 * next. `GLASSINE_RUNS=5000` looks further, from a seed of the moment.
 */
import fc from 'fast-check';

const runs = Number(process.env.GLASSINE_RUNS ?? 0);
fc.configureGlobal(runs > 0 ? { numRuns: runs } : { seed: 20261125 });
