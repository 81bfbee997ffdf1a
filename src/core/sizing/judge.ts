import { mm, ratio, ppi, toInches } from '../units';
import type { Millimetres, Ppi, Size } from '../units';
import type { FitResult } from './fit';
import type { SizingRules } from './rules';
import { crispFrom, standingDistance } from './viewing';

export type Crispness = 'inHand' | 'whereStand' | 'softUpClose' | 'fallsShort';
export type Enlarging = 'native' | 'resamplerHolds' | 'proofFirst' | 'tooFar';
export type Advice = 'offer' | 'proof' | 'withdraw';

/** A master's picture, pixels, and the fraction of them that is real detail, where it is known. */
export interface MasterPixels {
  width: number;
  height: number;
  detail?: number | null;
}

export interface SizeJudgement {
  verdict: Crispness;
  enlarging: Enlarging;
  advice: Advice;
  figures: {
    ppi: Ppi;
    /** What the resolution is worth: detail fraction x ppi. */
    worth: Ppi;
    /** Linear: needed pixels at the print resolution / pixels at hand. */
    enlargement: number;
    cropShare: number;
    crispFrom: Millimetres;
    standing: Millimetres;
    signingRoom: Millimetres;
  };
  /** Which rule decided the advice. */
  because: 'crispness' | 'enlargement' | 'none';
  /** Below the resolution at which many labs refuse (folk threshold). */
  labsRefuse: boolean;
  roomToSign: boolean;
}

/** Resolution on paper of a master's part printed at a size; the poorer axis decides. */
export function resolutionOnPaper(master: MasterPixels, fit: FitResult): Ppi {
  const across = (master.width * fit.crop.width) / toInches(fit.image.width);
  const down = (master.height * fit.crop.height) / toInches(fit.image.height);
  return ppi(Math.min(across, down));
}

function crispness(
  from: Millimetres,
  standing: Millimetres,
  rules: SizingRules,
): Crispness {
  if (from <= rules.handDistanceMm) return 'inHand';
  if (from <= standing * rules.stepUpShare) return 'whereStand';
  return from <= standing * rules.shortBeyond ? 'softUpClose' : 'fallsShort';
}

function enlargingBand(enlargement: number, rules: SizingRules): Enlarging {
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
  rules: SizingRules,
): SizeJudgement {
  const resolution = resolutionOnPaper(master, fit);
  const worth = ppi(resolution * (master.detail ?? 1));
  const enlargement = ratio(ppi(rules.printPpi), worth);
  const from = crispFrom(worth);
  // Small prints are held in the hand, however short their diagonal.
  const standing = mm(
    Math.max(rules.handDistanceMm, standingDistance(fit.image, rules.standingFactor)),
  );
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
    roomToSign: fit.below >= rules.signingRoomMm,
    figures: {
      ppi: resolution,
      worth,
      enlargement,
      cropShare: fit.cropShare,
      crispFrom: from,
      standing,
      signingRoom: fit.below,
    },
  };
}

/** The largest picture (mm) of a master at a given enlargement limit of its detail. */
export function largestAt(
  master: MasterPixels,
  enlargement: number,
  rules: SizingRules,
): Size {
  const perPixel = (25.4 * enlargement * (master.detail ?? 1)) / rules.printPpi;
  return {
    width: (master.width * perPixel) as Millimetres,
    height: (master.height * perPixel) as Millimetres,
  };
}
