/** How it is said where people stand: by the picture's diagonal, at one distance, or in the hand. */
export type Standing = 'diagonal' | 'fixed' | 'hand';

/** Rules of thumb of sizing; each can be changed by the user and is shown as a rule of thumb. */
export interface SizeRules {
  standing: Standing;
  /** Standing distance as a multiple of the picture's diagonal: 1 immersive, 1.5, 2 formal. */
  standingFactor: number;
  /** Standing distance where it does not depend on the picture, mm. */
  standingFixedMm: number;
  /** From where a print in the hand is looked at, mm. */
  handDistanceMm: number;
  /** People step up to this share of the standing distance to look closer. */
  stepUpShare: number;
  /** A print falls short when it is crisp only from beyond this many standing distances. */
  shortBeyond: number;
  /** What the printer is fed at, ppi. */
  printPpi: number;
  /** Below this many ppi many labs warn or refuse. */
  refusePpi: number;
  /** What many labs ask for small and for large prints, ppi (folk thresholds). */
  askSmallPpi: number;
  askLargePpi: number;
  /** Prints up to this long are small, mm. */
  smallUpToMm: number;
  /** What the route in use asks for, whatever the size, ppi; 0: by size. */
  routePpi: number;
  /** Enlargements up to here need nothing special. */
  resamplerHolds: number;
  /** Enlargements up to here want a resolution proof first; beyond, advise against. */
  proofFirst: number;
  /** White needed below the image to number and sign in pencil, mm. */
  signingRoomMm: number;
  /** What the printer leaves blank at every edge of the paper, mm. */
  printerMarginMm: number;
  /** For the drawing on the wall: how tall a person stands, how wide the sofa is, mm. */
  personMm: number;
  sofaMm: number;
}

export const SIZE_RULES: SizeRules = {
  standing: 'diagonal',
  standingFactor: 1.5,
  standingFixedMm: 2000,
  handDistanceMm: 300,
  stepUpShare: 0.5,
  shortBeyond: 1.25,
  printPpi: 300,
  refusePpi: 150,
  askSmallPpi: 300,
  askLargePpi: 200,
  smallUpToMm: 420,
  routePpi: 0,
  resamplerHolds: 1.5,
  proofFirst: 2,
  signingRoomMm: 15,
  printerMarginMm: 5,
  personMm: 1700,
  sofaMm: 2000,
};
