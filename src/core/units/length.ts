import { inches, mm, squareMetres } from './quantity';
import type { Inches, Millimetres, SquareMetres } from './quantity';

/** Millimetres in one inch, exact by definition. */
export const MM_PER_INCH = 25.4;

export const toInches = (length: Millimetres): Inches => inches(length / MM_PER_INCH);
export const toMillimetres = (length: Inches): Millimetres => mm(length * MM_PER_INCH);

/** Area of a rectangle in square metres. */
export const area = (width: Millimetres, height: Millimetres): SquareMetres =>
  squareMetres((width * height) / 1e6);

export interface Size {
  width: Millimetres;
  height: Millimetres;
}

export const size = (width: number, height: number): Size => ({
  width: mm(width),
  height: mm(height),
});

/** The same size lying the way `like` lies: portrait, landscape, or as it is for a square. */
export const turnedLike = (s: Size, like: { width: number; height: number }): Size =>
  s.width > s.height !== like.width > like.height && like.width !== like.height
    ? { width: s.height, height: s.width }
    : s;

export const diagonal = (s: Size): Millimetres => mm(Math.hypot(s.width, s.height));

/** Pixels of a length at a resolution, to the nearest whole one. */
export const pixelsFor = (length: Millimetres, ppi: number): number =>
  Math.round(pixelsOf(length, ppi));

/** The length in millimetres that so many pixels have at a resolution (pixels an inch). */
export const mmOf = (pixels: number, ppi: number): Millimetres =>
  mm((pixels / ppi) * MM_PER_INCH);

/** How many pixels a length has at a resolution (pixels an inch); not rounded. */
export const pixelsOf = (length: number, ppi: number): number =>
  (length / MM_PER_INCH) * ppi;
