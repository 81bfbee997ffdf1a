import { inches, mm, squareMetres } from './quantity';
import type { Inches, Millimetres, SquareMetres } from './quantity';

/** Millimetres in one inch, exact by definition. */
export const MM_PER_INCH = 25.4;

/**
 * A length in inches, of 25.4 mm each (exact by definition, ISO 31-1).
 * @example toInches(mm(254)) // 10
 */
export const toInches = (length: Millimetres): Inches => inches(length / MM_PER_INCH);
/**
 * A length given in inches, in millimetres.
 * @example toMillimetres(inches(2)) // 50.8
 */
export const toMillimetres = (length: Inches): Millimetres => mm(length * MM_PER_INCH);

/**
 * Area of a rectangle in square metres.
 * @example area(mm(400), mm(500)) // 0.2
 */
export const area = (width: Millimetres, height: Millimetres): SquareMetres =>
  squareMetres((width * height) / 1e6);

export interface Size {
  width: Millimetres;
  height: Millimetres;
}

/**
 * Two edges, mm.
 * @example size(300, 400) // { width: 300, height: 400 }
 */
export const size = (width: number, height: number): Size => ({
  width: mm(width),
  height: mm(height),
});

/**
 * The same size lying the way `like` lies: portrait, landscape, or as it is for a square.
 * @example turnedLike(size(500, 700), { width: 3, height: 2 }) // { width: 700, height: 500 }
 */
export const turnedLike = (s: Size, like: { width: number; height: number }): Size =>
  s.width > s.height !== like.width > like.height && like.width !== like.height
    ? { width: s.height, height: s.width }
    : s;

/**
 * The diagonal of a rectangle, mm.
 * @example diagonal(size(300, 400)) // 500
 */
export const diagonal = (s: Size): Millimetres => mm(Math.hypot(s.width, s.height));

/**
 * Pixels of a length at a resolution, to the nearest whole one.
 * @example pixelsFor(mm(300), 300) // 3543
 */
export const pixelsFor = (length: Millimetres, ppi: number): number =>
  Math.round(pixelsOf(length, ppi));

/**
 * The length in millimetres that so many pixels have at a resolution (pixels an inch).
 * @example mmOf(3000, 300) // 254
 */
export const mmOf = (pixels: number, ppi: number): Millimetres =>
  mm((pixels / ppi) * MM_PER_INCH);

/**
 * How many pixels a length has at a resolution (pixels an inch); not rounded.
 * @example pixelsOf(10, 300) // 118.11
 */
export const pixelsOf = (length: number, ppi: number): number =>
  (length / MM_PER_INCH) * ppi;
