/** Rules of thumb of packing; each can be changed and is shown as one. */
export interface PackRules {
  /** Backing board larger than the print, mm a side. */
  boardMargin: number;
  /** Longest side that travels flat, mm. */
  flatLimit: number;
  /** Room inside the mailer around the board, mm in all. */
  mailerPlay: number;
  /** Tube longer than the rolled side, mm in all. */
  tubeEndPlay: number;
  /** Up to this weight (g/m2) the thin tube does. */
  thinTubeUpTo: number;
  thinTube: number;
  thickTube: number;
  /** Prints that lie in one mailer, and that are rolled into one tube. */
  flatPrints: number;
  rolledPrints: number;
  /** What lies in a mailer is no thicker than this, mm. */
  flatDepth: number;
  /** Scales and computation may differ by this much, g, before something is missing. */
  scaleTolerance: number;
  /** Volumetric divisor, mm3 per gram (5 000 cm3 per kg). */
  volumeDivisor: number;
}

export const PACK_RULES: PackRules = {
  boardMargin: 3,
  flatLimit: 620,
  mailerPlay: 4,
  tubeEndPlay: 40,
  thinTubeUpTo: 250,
  thinTube: 50,
  thickTube: 75,
  flatPrints: 5,
  rolledPrints: 3,
  flatDepth: 30,
  scaleTolerance: 15,
  volumeDivisor: 5000,
};
