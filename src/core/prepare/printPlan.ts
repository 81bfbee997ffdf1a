import type { FitResult } from '../sizing';
import { mm, pixelsFor } from '../units';

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

/**
 * Lays a fitted sheet out in pixels, with what is trimmed or torn away; every edge is rounded
 * once, so margins add up.
 */
export function printPlan(
  master: { width: number; height: number },
  fit: FitResult,
  ppi: number,
): PrintPlan {
  const width = pixelsFor(fit.paper.width, ppi);
  const height = pixelsFor(fit.paper.height, ppi);
  const { bleed, crop } = fit.printed;
  const from = (white: number, over: number) =>
    pixelsFor(mm(fit.beyond + white - over), ppi);
  const left = from(fit.left, bleed.left);
  const top = from(fit.above, bleed.above);
  const image = {
    left,
    top,
    width: width - left - from(fit.right, bleed.right),
    height: height - top - from(fit.below, bleed.below),
  };
  const source = {
    left: crop.left * master.width,
    top: crop.top * master.height,
    width: crop.width * master.width,
    height: crop.height * master.height,
  };
  return { width, height, image, source, factor: image.width / source.width };
}

/** Bytes of the print file: 8-bit RGB without compression, and some for its head and profile. */
export const printFileBytes = (fit: FitResult, ppi: number): number =>
  pixelsFor(fit.paper.width, ppi) * pixelsFor(fit.paper.height, ppi) * 3 + 1000;
