export * from './store/store';
export * from './decode/readMaster';
export * from './colour/masterColour';
export * from './jobs/jobs';
export * from './jobs/workerPool';
export * from './fileRefusal';
export * from './progress';
export * from './jobs/divided';
export * from './jobs/inspect';
export { TILE } from './passes/pyramid';
export type { LookWork } from './passes/lookPass';
export type { PrintFileWork } from './passes/printFilePass';
export * from './colour/printTarget';
export type { FileAbout } from './tiff/tiffFields';
export { BadArchive } from './store/archive';
export type { Manifest, PackResult } from './store/archive';
export { pixelSize } from './decode/pixelSource';
export { linearCurve } from './colour/linearCurve';
export { sameIntents } from './colour/sameIntents';
export { createTransform, readProfile } from './colour/colourEngine';
export type { SheetPart } from './passes/sheetPass';
export type { SheetWords } from './passes/drawnWords';
export type { GangPiece } from './passes/gangPass';
export type { InkWork } from './passes/inkPass';
export type { PrintDifference } from './passes/rulePass';
export type {
  ProofFigures,
  IntentFigures,
  MergedExample,
  Place,
} from './passes/proofFigures';
export type { SoftProofWork } from './passes/softProofPass';
export { REACH_STEPS } from './passes/proofTilePass';
export type { ProofTileWork, TileShows } from './passes/proofTilePass';
export { writeStripPixels } from './passes/stripPass';
export type {
  ColouredPixels,
  ComparedPhotograph,
  SeenPicture,
} from './passes/photographPass';
export { photographPreview } from './passes/photographPreview';
export { paperWhiteOf } from './colour/onPaper';
export type { ProofWay } from './colour/proofChain';
export type { ProfilePortrait } from './colour/profilePortrait';
export { Kept } from './kept';
