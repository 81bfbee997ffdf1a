import { STRIP_LIMITS } from './compareStrips';
import { SIZE_FACTOR } from './reference';

/** Rules of thumb of proofing that a studio may change. */
export interface ProofRules {
  /** Drift since the approved print that still passes, CIEDE2000: in the mean, and of any one patch. */
  driftMean: number;
  driftWorst: number;
  /** A reference holds for other sizes up to this linear factor. */
  sizeFactor: number;
}

export const PROOF_RULES: ProofRules = {
  driftMean: STRIP_LIMITS.mean,
  driftWorst: STRIP_LIMITS.worst,
  sizeFactor: SIZE_FACTOR,
};
