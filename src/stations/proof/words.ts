import type { Format } from '@/shell/figures';
import { movedWords } from './measured/words';
import type { UsualOnPaper } from './usual';
import type { EyeAspect } from '@/core/proof';

export const VERDICTS = {
  approved: 'approved',
  changeAndRepeat: 'change and repeat',
  abandoned: 'abandoned',
} as const;

export const EYE_NAMES: Record<EyeAspect, string> = {
  shadows: 'shadows',
  midtones: 'midtones',
  highlights: 'highlights',
  castShadows: 'cast, shadows',
  castMidtones: 'cast, midtones',
  castHighlights: 'cast, highlights',
  saturation: 'saturation',
  sharpness: 'sharpness',
};

/** Both ends of a scale. */
export const EYE_ENDS: Record<EyeAspect, readonly [string, string]> = {
  shadows: ['too dark', 'too light'],
  midtones: ['too dark', 'too light'],
  highlights: ['too dark', 'too light'],
  castShadows: ['too cold', 'too warm'],
  castMidtones: ['too cold', 'too warm'],
  castHighlights: ['too cold', 'too warm'],
  saturation: ['too dull', 'too loud'],
  sharpness: ['too soft', 'too sharp'],
};

/** A step of a scale in words: `midtones a little too dark`. */
export function eyeWords(aspect: EyeAspect, step: number): string {
  if (step === 0) return `${EYE_NAMES[aspect]} right`;
  const end = EYE_ENDS[aspect][step < 0 ? 0 : 1];
  const how = Math.abs(step) === 1 ? 'a little ' : 'much ';
  return `${EYE_NAMES[aspect]} ${how}${end}`;
}

/** What other works on a paper were changed by, in numbers. */
export const usualWords = (
  { paper, changed: { works, changes } }: Pick<UsualOnPaper, 'paper' | 'changed'>,
  numbers: Pick<Format, 'number'>,
): string =>
  `Your last ${works} works on ${paper} were changed before they were approved: ${changes
    .map(
      ({ by, works: of, ...place }) =>
        `${movedWords({ ...place, was: 0, now: by }, numbers)} (${of} of ${works})`,
    )
    .join(', ')}.`;
