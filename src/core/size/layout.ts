import { mm } from '../units';
import type { Millimetres } from '../units';

/** `within`: whole picture, margins unequal. `fill`: picture cropped. `cut`: sheet cut so that the border is even. */
export type Fit = 'within' | 'fill' | 'cut';

/** `inside`: the sheet stays and the image shrinks. `outside`: the image stays and the sheet grows. */
export type Place = 'inside' | 'outside';

/** A length on each side of a sheet. */
export interface Sides {
  above: Millimetres;
  right: Millimetres;
  below: Millimetres;
  left: Millimetres;
}

/** How a picture meets a sheet of a nominal size. */
export interface Layout {
  fit: Fit;
  place: Place;
  /** The least white on each side. */
  borders: Sides;
  /** Picture printed beyond the edge where it reaches it, and trimmed away. */
  bleed: Millimetres;
  /** Paper beyond the edge on every side that is torn away, and leaves a deckle. */
  deckle: Millimetres;
}

/** The four lengths, from above clockwise. */
export const eachSide = (s: Sides): Millimetres[] => [s.above, s.right, s.below, s.left];

/** One length on all four sides, mm. */
export const sameOnAllSides = (length: Millimetres): Sides => ({
  above: length,
  right: length,
  below: length,
  left: length,
});

/** An even border inside the sheet, or another one below, for who weights the foot. */
export const plainLayout = (
  fit: Fit,
  border: Millimetres,
  below: Millimetres = border,
): Layout => ({
  fit,
  place: 'inside',
  borders: { ...sameOnAllSides(border), below },
  bleed: mm(0),
  deckle: mm(0),
});

/** Two layouts that print the same. */
export const sameLayout = (a: Layout, b: Layout): boolean =>
  a.fit === b.fit &&
  a.place === b.place &&
  [
    [a.bleed, b.bleed],
    [a.deckle, b.deckle],
    [a.borders.above, b.borders.above],
    [a.borders.right, b.borders.right],
    [a.borders.below, b.borders.below],
    [a.borders.left, b.borders.left],
  ].every(([one = 0, other = 0]) => Math.abs(one - other) < 0.05);
