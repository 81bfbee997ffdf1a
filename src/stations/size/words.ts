import type {
  CropRect,
  FamilyId,
  Fit,
  Largest,
  OwnSizeFault,
  Place,
  Reopened,
  SizeJudgement,
  SizeRules,
} from '@/core/size';
import { LEAST_EDGE, MOST_EDGE, MOST_RATIO, lostEdges } from '@/core/size';
import type { Format } from '@/shell/figures';

const VERDICTS = {
  inHand: 'Crisp in the hand.',
  whereStand: 'Crisp where people stand, and when they step up.',
  softUpClose: 'Crisp where people stand, soft up close.',
  fallsShort: 'Falls short: soft even where people stand.',
} as const;

/** The one sentence of judgement, with its figure and its reason. */
export function judgementWords(j: SizeJudgement, rules: SizeRules, format: Format): string {
  const { figures } = j;
  const times = format.number(figures.enlargement, 2);
  const from = format.distance(figures.crispFrom);
  switch (j.enlarging) {
    case 'native':
      return VERDICTS[j.verdict];
    case 'resamplerHolds':
      return `${VERDICTS[j.verdict]} Enlarged ${times} times for ${rules.printPpi} ppi: a good resampler holds that.`;
    case 'proofFirst':
      return `${VERDICTS[j.verdict]} Enlarged ${times} times: order a resolution proof before paying for the big one.`;
    case 'tooFar':
      return j.verdict === 'fallsShort'
        ? `${VERDICTS[j.verdict]} It would pass from ${from} only: leave it out.`
        : `Advised against: enlarged ${times} times. It would pass from ${from}.`;
  }
}

export const adviceWord = (j: SizeJudgement): string =>
  ({ offer: 'fits', proof: 'proof first', withdraw: 'leave out' })[j.advice];

export const adviceTone = (j: SizeJudgement): 'caution' | 'stop' | undefined =>
  ({ offer: undefined, proof: 'caution' as const, withdraw: 'stop' as const })[j.advice];

/** What stands under the resolution: what it is worth, where not all of its pixels are detail. */
export const worthWords = ({ figures }: SizeJudgement, format: Format): string =>
  figures.worth > 0.97 * figures.ppi
    ? 'ppi on paper'
    : `ppi on paper, worth ${format.number(figures.worth)}`;

export const FAMILY_NAMES: Record<FamilyId, string> = {
  metricFrames: 'Frames, cm',
  isoA: 'ISO A',
  inchFrames: 'Frames, in',
  twoByThree: '2:3, in',
  squares: 'Squares',
  own: 'Own',
};

export const FITS: [Fit, string][] = [
  ['within', 'Whole'],
  ['fill', 'Crop to fill'],
  ['cut', 'Cut sheet'],
];

export const PLACES: [Place, string][] = [
  ['inside', 'Border inside'],
  ['outside', 'Border outside'],
];

/** Why a size of one's own cannot be printed. */
export const OWN_SIZE_WORDS: Record<
  OwnSizeFault,
  (typed: string, length: (mm: number) => string) => string
> = {
  small: (typed, length) =>
    `Own size: “${typed}” has an edge under ${length(LEAST_EDGE)}. Give both edges larger than that.`,
  large: (typed, length) =>
    `Own size: “${typed}” has an edge over ${length(MOST_EDGE)}. Check the unit: cm and in are written out.`,
  strip: (typed) =>
    `Own size: “${typed}” is longer than ${MOST_RATIO} : 1. Check both edges; no paper comes like that.`,
};

/** What happened to the verdict of a size since it was decided on. */
export function reopenedWords(r: Reopened, kind: 'offered' | 'withdrawn', format: Format) {
  const why =
    r.because === 'master'
      ? 'since a newer master or crop of it came'
      : 'since the crop or a rule of thumb was changed';
  const figures = `${format.number(r.then.worth)} ppi then, ${format.number(r.now.worth)} now`;
  if (kind === 'withdrawn')
    return `Open again: withdrawn as it fell short, it would pass now, ${why} (${figures}).`;
  return `Open again: ${SHORT[r.then.verdict]} when it was offered, ${SHORT[r.now.verdict]} ${why} (${figures}). Offer it again, or withdraw it.`;
}

const SHORT = {
  inHand: 'crisp in the hand',
  whereStand: 'crisp where people stand',
  softUpClose: 'soft up close',
  fallsShort: 'falling short',
} as const;

export const verdictShort = (j: SizeJudgement): string => SHORT[j.verdict];

export const largestWords = (largest: Largest, format: Format): string =>
  largest === 'any' ? 'any size' : format.size(largest);

/** Where people stand by the rule in force. */
export function standingWords(rules: SizeRules, format: Format): string {
  if (rules.standing === 'hand') return 'in the hand';
  return rules.standing === 'fixed'
    ? `at ${format.distance(rules.standingFixedMm)}`
    : `at ${format.number(rules.standingFactor, 1)} × the diagonal`;
}

/** What a crop loses, and at which edges. */
export function lossWords(part: CropRect, format: Format): string {
  const { above, right, below, left } = lostEdges(part);
  const edges = [
    ['above', above],
    ['right', right],
    ['below', below],
    ['left', left],
  ] as const;
  const lost = edges
    .filter(([, share]) => share > 0.0005)
    .map(([edge, share]) => `${format.percent(share, 1)} ${edge}`);
  return lost.length === 0 ? 'nothing is lost' : lost.join(', ');
}

/** Bytes of a print file as people say them. */
export const bytesWords = (bytes: number, format: Format): string =>
  bytes < 1e9
    ? `${format.number(bytes / 1e6)}\u202fMB`
    : `${format.number(bytes / 1e9, 1)}\u202fGB`;
