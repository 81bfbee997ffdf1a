import type { Written } from '@/studio/words/figures';
import type { GamutShape, ProfileSelf, Vector } from '@/core/colour';

const CLASS_WORDS = {
  output: 'printer',
  display: 'screen',
  space: 'colour space',
  input: 'scanner or camera',
  link: 'device link',
  abstract: 'abstract',
  named: 'named colours',
} as const;

/** What a profile is of, in a few words. */
export const kindWords = (self: ProfileSelf): string =>
  `${CLASS_WORDS[self.class]}, ${self.space} by ${self.pcs}, version ${self.version}`;

/** Which intents it has tables for. */
export const tableWords = ({ tables }: ProfileSelf): string =>
  tables.length === 0
    ? 'none: curves and a matrix, so that all intents are one'
    : tables.join(', ');

/** A colour in L*a*b*, as a note has it. */
export const labWords = (lab: Vector, written: Written): string =>
  lab.map((v) => written(Math.abs(v) < 0.05 ? 0 : v, 1)).join('  ');

/** How a white looks, by its tint. */
export function whiteWords([, a, b]: Vector): string {
  if (Math.hypot(a, b) < 1.5) return 'neutral';
  if (b > 1.5) return b > 6 ? 'warm, yellowish' : 'a little warm';
  if (b < -1.5) return b < -5 ? 'cold: brighteners are likely' : 'a little cold';
  return a > 0 ? 'a little pink' : 'a little green';
}

/** Volume of a gamut in thousands of cubic units. */
export const volumeWords = ({ volume }: Pick<GamutShape, 'volume'>): string =>
  String(Math.round(volume / 1000));
