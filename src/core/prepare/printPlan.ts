import type { FitResult } from '../sizing';
import { toInches } from '../units';
import type { Millimetres } from '../units';

export interface PixelRect {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** Whole pixels of a print file and where in it the picture lies. */
export interface PrintPlan {
  width: number;
  height: number;
  image: PixelRect;
  /** Part of the master that is printed, in master pixels (fractional). */
  source: PixelRect;
  /** Linear enlargement of master pixels. */
  factor: number;
}

/** Pixels of a length at a resolution, to the nearest whole one. */
export const pixelsFor = (length: Millimetres, ppi: number): number =>
  Math.round(toInches(length) * ppi);

/** Lays a fitted sheet out in pixels; every edge is rounded once, so margins add up. */
export function printPlan(
  master: { width: number; height: number },
  fit: FitResult,
  ppi: number,
): PrintPlan {
  const width = pixelsFor(fit.sheet.width, ppi);
  const height = pixelsFor(fit.sheet.height, ppi);
  const left = pixelsFor(fit.sides, ppi);
  const top = pixelsFor(fit.above, ppi);
  const image = {
    left,
    top,
    width: width - 2 * left,
    height: height - top - pixelsFor(fit.below, ppi),
  };
  const source = {
    left: fit.crop.left * master.width,
    top: fit.crop.top * master.height,
    width: fit.crop.width * master.width,
    height: fit.crop.height * master.height,
  };
  return { width, height, image, source, factor: image.width / source.width };
}
