import type { BenchSettings } from '@/data';

/** The bench's settings as they stand in their form. */
export const benchForm = (settings: BenchSettings): Record<string, string> => {
  const { sizing, packing, today } = settings;
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
};
