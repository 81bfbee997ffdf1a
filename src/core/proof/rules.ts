import { STRIP_LIMITS } from './compareStrips';
import { LIGHT_RULES } from './light';
import type { LightRules } from './light';
import { SIZE_FACTOR } from './reference';

/** Rules of thumb of proofing that a studio may change. */
export interface ProofRules {
  /** Drift since the approved print that still passes, CIEDE2000: in the mean, and of any one patch. */
  driftMean: number;
  driftWorst: number;
  /** A reference holds for other sizes up to this linear factor. */
  sizeFactor: number;
  /** How screen and light are judged; how long a calibration lasts is said where it is reminded of. */
  light: Omit<LightRules, 'calibrationDays'>;
}

const { calibrationDays: _, ...LIGHT } = LIGHT_RULES;

export const PROOF_RULES: ProofRules = {
  driftMean: STRIP_LIMITS.mean,
  driftWorst: STRIP_LIMITS.worst,
  sizeFactor: SIZE_FACTOR,
  light: LIGHT,
};
