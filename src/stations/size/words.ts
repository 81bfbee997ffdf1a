import type { SizeJudgement, SizingRules } from '@/core/sizing';
import type { Format } from '@/shell';

const VERDICTS = {
  inHand: 'Crisp in the hand.',
  whereStand: 'Crisp where people stand, and when they step up.',
  softUpClose: 'Crisp where people stand, soft up close.',
  fallsShort: 'Falls short: soft even where people stand.',
} as const;

/** The one sentence of judgement, with its figure and its reason. */
export function judgementWords(
  j: SizeJudgement,
  rules: SizingRules,
  format: Format,
): string {
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
