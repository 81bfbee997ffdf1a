/** Rules of thumb of sizing; each can be changed by the user and is shown as a rule of thumb. */
export interface SizingRules {
  /** Standing distance as a multiple of the picture's diagonal: 1 immersive, 1.5, 2 formal. */
  standingFactor: number;
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
  /** Enlargements up to here need nothing special. */
  resamplerHolds: number;
  /** Enlargements up to here want a resolution proof first; beyond, advise against. */
  proofFirst: number;
  /** White needed below the image to number and sign in pencil, mm. */
  signingRoomMm: number;
}

export const SIZING_RULES: SizingRules = {
  standingFactor: 1.5,
  handDistanceMm: 300,
  stepUpShare: 0.5,
  shortBeyond: 1.25,
  printPpi: 300,
  refusePpi: 150,
  resamplerHolds: 1.5,
  proofFirst: 2,
  signingRoomMm: 15,
};
