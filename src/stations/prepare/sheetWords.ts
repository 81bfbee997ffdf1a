import type { Proposal, SettingAxis, SheetPiece, WordsPlace } from '@/core/prepare';

/** What a piece shows. */
export const PIECE_WORDS: Record<SheetPiece['tests'], string> = {
  tones: 'longest tones',
  texture: 'finest texture',
  edges: 'main edges',
  shadow: 'deepest shadow',
  gradient: 'smoothest gradient',
  byHand: 'chosen by hand',
};

/** What to look for in a piece. */
export const PIECE_HINTS: Record<SheetPiece['tests'], string> = {
  tones: 'are lights and darks both open?',
  texture: 'is the finest grain of the picture held, or smeared?',
  edges: 'halos, steps, or clean?',
  shadow: 'is there still drawing in the dark?',
  gradient: 'smooth, or in bands?',
  byHand: 'what you wanted to see',
};

const round = (v: number) => Math.round(v * 10) / 10;

/** The figure that a piece was proposed for. */
export function proposalFigure({
  tests,
  figure,
}: Pick<Proposal, 'tests' | 'figure'>): string {
  switch (tests) {
    case 'tones':
      return `spans ${Math.round(figure)} of 100 L*`;
    case 'texture':
      return `neighbours differ by ${round(figure)} L*`;
    case 'edges':
      return `slope ${round(figure)} L* per pixel`;
    case 'shadow':
      return `mean ${round(figure)} L*`;
    case 'gradient':
      return `rises ${Math.round(figure)} L*`;
  }
}

export const AXIS_NAMES: Record<SettingAxis, string> = {
  lightness: 'lightness',
  contrast: 'contrast',
  warmth: 'warmth',
  saturation: 'saturation',
  sharpening: 'sharpening',
  intent: 'intent',
  media: 'media setting',
};

/** A point of an axis, as it is printed under its cell. */
export function pointWords(axis: SettingAxis, value: number | string): string {
  if (axis === 'media' || axis === 'intent') return String(value);
  const number = Number(value);
  if (axis === 'sharpening') return `sharpened ${number} %`;
  const sign = number > 0 ? '+' : number < 0 ? '\u2212' : '';
  return `${AXIS_NAMES[axis]} ${sign}${Math.abs(number)}`;
}

/** The row of words under a control strip. */
export const stripCaption = (words: WordsPlace) => ({
  ...words,
  points: 6.5,
  text: 'Control strip: read the patches row by row, from the upper left on.',
});

/** What the choice of a control strip is called. */
export const STRIP_CHOICE = 'a control strip of 36 patches, to be measured';

/** Why cells find no room on a sheet, and what to do. */
export const noRoomForCells = (cells: number, sheet: string, strip?: boolean): string =>
  `${cells} cells${strip ? ' over a control strip' : ''} get smaller than 12 mm on ${sheet}. Take fewer steps, ${strip ? 'leave out the strip, ' : ''}or a larger sheet.`;
