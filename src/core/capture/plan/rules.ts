/** Rules of thumb of capture; each can be changed by the user and is shown as a rule of thumb. */
export interface CaptureRules {
  /** Resolution that the largest print is fed with, ppi. */
  printPpi: number;
  /** Overlap of scanned tiles, mm. */
  tileOverlapMm: number;
  /** Overlap of neighbouring frames as a share of a frame: 0.25 to 0.35 is usual. */
  frameOverlap: number;
  /** Room left around the work in the frame, as a share of the work's side, both ends together. */
  framingMargin: number;
  /** Pieces that one is ready to make and join. */
  mostPieces: number;
  /** Falloff over the work that is good, stops; one sixth is usual. */
  goodStops: number;
  /** Falloff beyond which lights are moved or the master is flat-fielded, stops. */
  poorStops: number;
  /** Angle of each light to the normal of the work, degrees. */
  lightAngle: number;
  /** Bleed of a born digital canvas, mm a side. */
  bleedMm: number;
}

export const CAPTURE_RULES: CaptureRules = {
  printPpi: 300,
  tileOverlapMm: 20,
  frameOverlap: 0.3,
  framingMargin: 0.06,
  mostPieces: 12,
  goodStops: 1 / 6,
  poorStops: 1 / 3,
  lightAngle: 45,
  bleedMm: 3,
};
