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
