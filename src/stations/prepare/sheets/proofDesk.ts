import { isFigure, isFlag, isText, listOf, shape } from '@/core/facts';
import type { Guard } from '@/core/facts';
import type { ProofPlace } from '@/core/prepare';
import type { ProofDesk } from '../proofWish';

/** A piece, and what was found there. */
export type Place = ProofPlace & { said?: string };
/** What is chosen for a proof sheet, as it is kept in the browser. */
export type Desk = Omit<ProofDesk, 'places'> & { places: Place[] };

export const isDesk = shape({
  sizes: listOf(isText),
  places: listOf(shape({ x: isFigure, y: isFigure })),
  sheet: isText,
  own: shape({ width: isFigure, height: isFigure }),
  width: isFigure,
  height: isFigure,
  margin: isFigure,
  overview: isFlag,
}) as Guard<Desk>;

export const USUAL: Desk = {
  sizes: [],
  places: [],
  sheet: 'auto',
  own: { width: 300, height: 400 },
  width: 70,
  height: 55,
  margin: 5,
  overview: true,
  strip: true,
};
