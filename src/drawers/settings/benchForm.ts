import type { BenchSettings } from '@/data';

/** The bench's settings as they stand in their form. */
export const benchForm = (settings: BenchSettings): Record<string, string> => {
  const { sizing, packing, today, capture } = settings;
  return {
    studio: settings.studio,
    currency: settings.currency,
    locale: settings.locale,
    handlingDays: String(settings.handlingDays),
    standingFactor: String(sizing.standingFactor),
    handDistanceMm: String(sizing.handDistanceMm),
    stepUpShare: String(sizing.stepUpShare * 100),
    shortBeyond: String(sizing.shortBeyond),
    printPpi: String(sizing.printPpi),
    refusePpi: String(sizing.refusePpi),
    resamplerHolds: String(sizing.resamplerHolds),
    proofFirst: String(sizing.proofFirst),
    signingRoomMm: String(sizing.signingRoomMm),
    scaleTolerance: String(packing.scaleTolerance),
    backupAfterDays: String(today.backupAfterDays),
    tileOverlapMm: String(capture.tileOverlapMm),
    frameOverlap: String(Math.round(capture.frameOverlap * 1000) / 10),
    framingMargin: String(Math.round(capture.framingMargin * 1000) / 10),
    mostPieces: String(capture.mostPieces),
    goodStops: String(Math.round(capture.goodStops * 1000) / 1000),
    poorStops: String(Math.round(capture.poorStops * 1000) / 1000),
    lightAngle: String(capture.lightAngle),
    bleedMm: String(capture.bleedMm),
  };
};

/** The fields by their names on the form. */
export const BENCH_TITLES: Record<string, string> = {
  studio: 'Studio',
  currency: 'Currency',
  locale: 'Language of figures and dates',
  handlingDays: 'Orders leave within',
  standingFactor: 'Standing distance',
  handDistanceMm: 'Distance in the hand',
  stepUpShare: 'People step up to',
  shortBeyond: 'Falls short beyond',
  printPpi: 'Printer is fed at',
  refusePpi: 'Labs refuse below',
  resamplerHolds: 'A resampler holds up to',
  proofFirst: 'Proof first up to',
  signingRoomMm: 'Room to sign',
  scaleTolerance: 'Scales may differ by',
  backupAfterDays: 'Remind of a backup after',
  tileOverlapMm: 'Scanned tiles overlap by',
  frameOverlap: 'Frames overlap by',
  framingMargin: 'Room around the work',
  mostPieces: 'Pieces one joins at most',
  goodStops: 'Light is even within',
  poorStops: 'Light is poor beyond',
  lightAngle: 'Angle of the lights',
  bleedMm: 'Bleed of a canvas',
};
