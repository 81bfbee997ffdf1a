import type { Aspect, ProposedRecipe } from '@/core/log';

export const ENTRY_KINDS = {
  printFile: 'print file',
  gangSheet: 'sheet of prints',
  print: 'print',
  proofSheet: 'proof sheet',
  settingsSheet: 'settings sheet',
  proofRound: 'proof',
  impression: 'impression',
} as const;

/** What a master can come from: a device, or what the original is. */
export const SOURCES: Record<string, string> = {
  flatbed: 'flatbed scan',
  camera: 'camera',
  film: 'film scan',
  digital: 'born digital',
  painting: 'painting',
  drawing: 'drawing',
  photograph: 'photograph',
  printmaking: 'printmaking',
  'born digital': 'born digital',
};

/** The words of each scale, by their figure. */
export const SCALES: Record<Aspect, readonly (readonly [string, string])[]> = {
  sharpness: [
    ['-2', 'far too soft'],
    ['-1', 'a little soft'],
    ['0', 'right'],
    ['1', 'a little hard'],
    ['2', 'far too hard'],
  ],
  grain: [
    ['0', 'none'],
    ['1', 'fine'],
    ['2', 'seen'],
    ['3', 'coarse'],
  ],
  halos: [
    ['0', 'none'],
    ['1', 'faint'],
    ['2', 'seen'],
    ['3', 'strong'],
  ],
  tone: [
    ['-2', 'far too dark'],
    ['-1', 'a little dark'],
    ['0', 'right'],
    ['1', 'a little light'],
    ['2', 'far too light'],
  ],
  colour: [
    ['-2', 'far too dull'],
    ['-1', 'a little dull'],
    ['0', 'right'],
    ['1', 'a little loud'],
    ['2', 'far too loud'],
  ],
};

export const scaleWord = (aspect: Aspect, value: number | null): string =>
  value === null ? '' : (SCALES[aspect].find(([v]) => v === String(value))?.[1] ?? '');

/** A change of a proposed recipe and why, in a sentence. */
export const changeWords = (
  { aspect, field, was, now }: ProposedRecipe['changes'][number],
  said: number | null,
): string => `${field} ${was} → ${now}: ${aspect} was ${scaleWord(aspect, said)}`;
