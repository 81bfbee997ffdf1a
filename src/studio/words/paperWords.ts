import type { Brightened, SignedWith } from '@/core/paper';

/** How a print on a paper is signed and touched; null where nothing is to be known. */
export function signingWords(paper: {
  name: string;
  signedWith: SignedWith;
  scuffs: boolean;
}): string | null {
  const { name, signedWith, scuffs } = paper;
  const by =
    signedWith === 'not known'
      ? ''
      : signedWith === 'white ink'
        ? `${name} is signed with white ink: it scrapes off, let it dry and lay tissue over it.`
        : `${name} is signed with ${signedWith}.`;
  const touch = scuffs
    ? `▲ ${signedWith === 'not known' ? `${name} scuffs` : 'It scuffs'} at a touch: gloves, and a sheet under the hand.`
    : '';
  return [by, touch].filter(Boolean).join(' ') || null;
}

/** What brighteners mean for a white; empty where none are, or it is not known. */
export const brightenedWords = (brightened: Brightened): string =>
  brightened === 'yes'
    ? 'whitened by brighteners: less white by light without UV and behind UV glass, and yellower over the years'
    : '';

/** How long a paper lasts, in one line with its source and display; null where it is not known. */
export const permanenceLine = (paper: {
  permanenceYears: number | null;
  permanenceSource: string;
  permanenceDisplay: string;
}): string | null =>
  paper.permanenceYears === null
    ? null
    : `${paper.permanenceYears} years ${paper.permanenceDisplay}, ${paper.permanenceSource}`;

/** A media setting as the driver calls it, and that it stands in for a paper which the driver lacks. */
export const settingWords = ({
  setting,
  standIn,
}: {
  setting: string;
  standIn: boolean;
}): string => `“${setting}”${standIn ? ', which stands in for it' : ''}`;

/** What the cost of a print's paper rests on. */
export const PAPER_COST_FROM = {
  print: 'what the last print took of its lot',
  lot: 'what it takes of the lot in stock',
  sold: 'its part of the cheapest size that the paper is sold as',
  sheet: 'its part of a sheet',
} as const;
