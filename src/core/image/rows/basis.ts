import { WORKING_LUMINANCE, WORKING_WARMTH } from '../../colour';

/** A number for each of red, green and blue. */
export type Shares = readonly [number, number, number];

/** What the numbers of a pixel mean to the steps that change colours. */
export interface ColourBasis {
  /** Shares of the channels in the light of a pixel. */
  light: Shares;
  /** How the channels of a grey move when it is made warmer. */
  warm: Shares;
}

/** Encoded values of whatever space a picture came in. */
export const OWN_NUMBERS: ColourBasis = { light: [0.25, 0.6, 0.15], warm: [1, 0, -1] };

/** Encoded values of the working space. */
export const WORKING_NUMBERS: ColourBasis = {
  light: WORKING_LUMINANCE,
  warm: WORKING_WARMTH,
};
