import type { LaidSheet } from '@/core/edition';

/** Why the ledger refuses, and what to do. */
export const EDITION_WORDS: Record<string, string> = {
  sizeZero:
    'Edition of: a limited edition has at least one impression. Give 1 or more, or declare it open.',
  enlarged:
    'An edition is never enlarged after it was declared: that honesty is its whole value. Give the declared figure or less.',
  closedToChange:
    'A number of this edition is out already, so its declaration stands as it is.',
  otherSchool:
    'This work has an edition already that this one would overlap: one edition over all sizes, or one per size, not both.',
  soldOut: 'Every number of this edition is given out. Nothing can be added to it.',
  numberTaken:
    'This number is out already. A number exists once, ever; record the spoiled print first if there is one.',
  numberOutside: 'This number is not in the edition.',
  neverNumbered: 'This number was never given out.',
  alreadySpoiled: 'This impression is recorded as spoiled already.',
  alreadySold:
    'This impression is sold. A damaged print that comes back is a return, not a spoiled number.',
  inOrder:
    'This impression is reserved for an order that is still open. It cannot be spoiled from under it.',
  notFree:
    'This impression is not free: it is in another order, sold or spoiled. Choose another number.',
  lentOut:
    'This print is out on consignment, so it is not here. Fetch it back first: see Consignments.',
  noSize: 'This size of the work was never on offer. Offer it at Size first.',
  noPiece:
    'This print waits for no number any more: it has one, was spoiled, or its sheet was taken back. Open the edition station anew.',
  pieceGone: 'Something was noted of this print already. Open the edition station anew.',
  noEdition: 'This edition is not there. Open the edition station anew.',
};

/** The number that a page promised was given out before it was pressed. */
export const movedOnWords = (shown: string, next: string | null): string =>
  `${shown} was given out elsewhere meanwhile, so nothing was numbered. ${next === null ? 'No number is left.' : `The next free number is ${next}: press again to number it.`}`;

/** How a sheet of an edition stands. */
export const STATE_WORDS: Record<LaidSheet['state'], string> = {
  free: 'free',
  numbered: 'here, numbered',
  spoiled: 'spoiled',
  ordered: 'ordered',
  sold: 'sold',
  damaged: 'came back damaged, not for sale',
  lost: 'lost on its way',
};
