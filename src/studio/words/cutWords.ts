import { MOST_PIECES } from '@/core/cut';
import type { CutFault, Unplaced } from '@/core/cut';

/** Why a job cannot be planned, and what to do. `of` is the name of what it is about. */
export function cutFaultWords({ what, of }: CutFault): string {
  switch (what) {
    case 'noPieces':
      return 'There is nothing to cut: name at least one piece.';
    case 'tooMany':
      return `More than ${MOST_PIECES} pieces. Plan them in parts.`;
    case 'noStock':
      return 'There is no paper to cut from: name at least one sheet or roll.';
    case 'size':
      return `${of}: its sizes and its price must be numbers that can be: at least 1 mm, at most 20 m (a roll 500 m), money in whole minor units from 0.`;
    case 'count':
      return `${of}: its count must be a whole number, of pieces at least 1.`;
    case 'margin':
      return of === ''
        ? 'The margins must be lengths from 0.'
        : `${of}: its margins leave nothing of it. A sheet must be larger than the margins at its edges.`;
    case 'gutter':
      return 'Gutter and trim must be lengths from 0.';
    case 'twice':
      return `${of}: that name is there twice. Give each piece, and each sheet or roll, its own.`;
    case 'hold':
      return of === ''
        ? 'What is held in its place cannot be parted by straight cuts, or lies beyond the edge. Let go of a piece, then plan again.'
        : `${of}: it is held on a sheet that this plan does not have, or twice. Let go of it, then plan again.`;
  }
}

/** Why a piece lies on no sheet; `needs` is the smallest sheet that would do. */
export function unplacedWords(why: Unplaced['why'], needs: string): string {
  switch (why) {
    case 'noStock':
      return 'there is no paper for it';
    case 'tooLarge':
      return `larger than every sheet: the smallest that would do is ${needs}`;
    case 'longestCut':
      return 'it cannot be cut out with the longest cut that this trimmer makes';
    case 'notEnough':
      return 'there is not enough paper for it';
  }
}
