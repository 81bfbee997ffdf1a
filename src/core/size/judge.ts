import { ratio, ppi, toInches } from '../units';
import type { Millimetres, Ppi, Size } from '../units';
import type { CropChoice } from './crop';
import type { FitResult } from './fit';
import type { SizeRules } from './rules';
import { crispFrom, standsAt } from './viewing';

export type Crispness = 'inHand' | 'whereStand' | 'softUpClose' | 'fallsShort';
export type Enlarging = 'native' | 'resamplerHolds' | 'proofFirst' | 'tooFar';
export type Advice = 'offer' | 'proof' | 'withdraw';

/** A master's picture, pixels, and the fraction of them that is real detail, where it is known. */
export interface MasterPixels {
  width: number;
  height: number;
  detail?: number | null;
  /** The crops chosen for it, by the name of their ratio. */
  crops?: Readonly<Record<string, CropChoice>>;
}

export interface SizeJudgement {
  verdict: Crispness;
  enlarging: Enlarging;
  advice: Advice;
  figures: {
    /** The poorer of both axes. */
    ppi: Ppi;
    across: Ppi;
    down: Ppi;
    /** What the resolution is worth: detail fraction x ppi. */
    worth: Ppi;
    /** Linear: needed pixels at the print resolution / pixels at hand. */
    enlargement: number;
    cropShare: number;
    crispFrom: Millimetres;
    standing: Millimetres;
    signingRoom: Millimetres;
    /** What the lab or the route asks for at this size. */
    asked: Ppi;
  };
  /** Which rule decided the advice. */
  because: 'crispness' | 'enlargement' | 'none';
  /** Below the resolution at which many labs refuse (folk threshold). */
  labsRefuse: boolean;
  /** The resolution on paper is what the lab or the route asks for. */
  meetsAsked: boolean;
  roomToSign: boolean;
}

/**
 * Resolution on paper of a master's part printed at a size, along each axis.
 * @example resolutionOnPaper({ width: 6000, height: 8000 }, { crop: WHOLE, image: size(254, 508) }) // { across: 600, down: 400 }
 */
export const resolutionOnPaper = (
  master: MasterPixels,
  fit: Pick<FitResult, 'crop' | 'image'>,
): { across: Ppi; down: Ppi } => ({
  across: ppi((master.width * fit.crop.width) / toInches(fit.image.width)),
  down: ppi((master.height * fit.crop.height) / toInches(fit.image.height)),
});

/**
 * What is asked of a print of that size: by the route, else by how long it is (folk thresholds).
 * @example nominalDemand(size(300, 400), SIZE_RULES) // 300
 */
export const nominalDemand = (sheet: Size, rules: SizeRules): Ppi =>
  ppi(
    rules.routePpi > 0
      ? rules.routePpi
      : Math.max(sheet.width, sheet.height) <= rules.smallUpToMm + 0.5
        ? rules.askSmallPpi
        : rules.askLargePpi,
  );

/**
 * How many times the original's own size an image is, linear; below 1 it is reduced.
 * @example againstOriginal(size(300, 400), { crop: WHOLE, image: size(600, 800) }) // 2
 */
export const againstOriginal = (
  original: Size,
  fit: Pick<FitResult, 'crop' | 'image'>,
): number => fit.image.width / (original.width * fit.crop.width);

function crispness(from: Millimetres, standing: Millimetres, rules: SizeRules): Crispness {
  if (from <= rules.handDistanceMm) return 'inHand';
  if (from <= standing * rules.stepUpShare) return 'whereStand';
  return from <= standing * rules.shortBeyond ? 'softUpClose' : 'fallsShort';
}

function enlargingBand(enlargement: number, rules: SizeRules): Enlarging {
  if (enlargement <= 1) return 'native';
  if (enlargement <= rules.resamplerHolds) return 'resamplerHolds';
  return enlargement <= rules.proofFirst ? 'proofFirst' : 'tooFar';
}

/**
 * Judges one print size of a master (pixels): compares the distance from which it is crisp
 * with the distance at which people stand, and how far its detail is stretched. Where only a
 * fraction of its pixels is detail, that fraction of the resolution counts.
 */
export function judgeSize(
  master: MasterPixels,
  fit: FitResult,
  rules: SizeRules,
): SizeJudgement {
  const { across, down } = resolutionOnPaper(master, fit);
  const resolution = ppi(Math.min(across, down));
  const worth = ppi(resolution * (master.detail ?? 1));
  const enlargement = ratio(ppi(rules.printPpi), worth);
  const from = crispFrom(worth);
  const standing = standsAt(fit.image, rules);
  const asked = nominalDemand(fit.sheet, rules);
  const verdict = crispness(from, standing, rules);
  const enlarging = enlargingBand(enlargement, rules);
  const advice: Advice =
    verdict === 'fallsShort' || enlarging === 'tooFar'
      ? 'withdraw'
      : enlarging === 'proofFirst'
        ? 'proof'
        : 'offer';
  return {
    verdict,
    enlarging,
    advice,
    because:
      advice === 'offer' ? 'none' : verdict === 'fallsShort' ? 'crispness' : 'enlargement',
    labsRefuse: resolution < rules.refusePpi,
    meetsAsked: resolution >= asked - 0.5,
    roomToSign: fit.below >= rules.signingRoomMm,
    figures: {
      ppi: resolution,
      across,
      down,
      worth,
      enlargement,
      cropShare: fit.cropShare,
      crispFrom: from,
      standing,
      signingRoom: fit.below,
      asked,
    },
  };
}
