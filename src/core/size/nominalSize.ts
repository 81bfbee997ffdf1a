import type { Size } from '../units';

/** Families of standard sizes. */
export type StandardFamily =
  'isoA' | 'metricFrames' | 'inchFrames' | 'twoByThree' | 'squares';
export type FamilyId = StandardFamily | 'own';

/** A nominal sheet size, portrait; `key` names it for good, whatever the reader's units. */
export interface NominalSize extends Size {
  key: string;
  family: FamilyId;
  /** How the trade writes it: `A3`, `50 × 70 cm`, `16 × 20 in`. */
  label: string;
}
