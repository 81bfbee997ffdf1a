import type { FitResult } from '../size';
import { mm, pixelsFor, pixelsOf } from '../units';

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
  /** Trim marks: filled with black. */
  marks?: PixelRect[];
}

/** White around the paper that trim marks lie in, how far off the paper they are, their length and width, mm. */
const MARKS = { around: mm(8), off: 1, long: 5, wide: 0.25 };

/** The two lines at each corner of what is trimmed to. */
function marksAt(
  sheet: { left: number; top: number; right: number; bottom: number },
  paper: { left: number; top: number; right: number; bottom: number },
  ppi: number,
): PixelRect[] {
  const px = (length: number) => Math.round(pixelsOf(length, ppi));
  const [off, long, wide] = [px(MARKS.off), px(MARKS.long), Math.max(1, px(MARKS.wide))];
  const half = Math.floor(wide / 2);
  const lying = (top: number) =>
    [paper.left - off - long, paper.right + off].map((left) => ({
      left,
      top: top - half,
      width: long,
      height: wide,
    }));
  const upright = (left: number) =>
    [paper.top - off - long, paper.bottom + off].map((top) => ({
      left: left - half,
      top,
      width: wide,
      height: long,
    }));
  return [
    ...[sheet.top, sheet.bottom].flatMap(lying),
    ...[sheet.left, sheet.right].flatMap(upright),
  ];
}

/**
 * Lays a fitted sheet out in pixels, with what is trimmed or torn away; every edge is rounded
 * once, so margins add up. With trim marks there is 8 mm of white around the paper for them.
 */
export function printPlan(
  master: { width: number; height: number },
  fit: FitResult,
  ppi: number,
  withMarks = false,
): PrintPlan {
  const around = withMarks ? pixelsFor(MARKS.around, ppi) : 0;
  const paper = {
    left: around,
    top: around,
    right: around + pixelsFor(fit.paper.width, ppi),
    bottom: around + pixelsFor(fit.paper.height, ppi),
  };
  const { bleed, crop } = fit.printed;
  const from = (white: number, over: number) =>
    pixelsFor(mm(fit.beyond + white - over), ppi);
  const left = paper.left + from(fit.left, bleed.left);
  const top = paper.top + from(fit.above, bleed.above);
  const image = {
    left,
    top,
    width: paper.right - left - from(fit.right, bleed.right),
    height: paper.bottom - top - from(fit.below, bleed.below),
  };
  const source = {
    left: crop.left * master.width,
    top: crop.top * master.height,
    width: crop.width * master.width,
    height: crop.height * master.height,
  };
  const beyond = pixelsFor(fit.beyond, ppi);
  const sheet = {
    left: paper.left + beyond,
    top: paper.top + beyond,
    right: paper.right - beyond,
    bottom: paper.bottom - beyond,
  };
  return {
    width: paper.right + around,
    height: paper.bottom + around,
    image,
    source,
    factor: image.width / source.width,
    ...(withMarks ? { marks: marksAt(sheet, paper, ppi) } : {}),
  };
}

/** The parts around the image that must be white: all but what the marks lie in. */
export function whiteParts({ width, height, image, marks }: PrintPlan): PixelRect[] {
  const lefts = marks?.map((m) => m.left + m.width).filter((x) => x < image.left) ?? [];
  const rights =
    marks?.map((m) => m.left).filter((x) => x > image.left + image.width) ?? [];
  const tops = marks?.map((m) => m.top + m.height).filter((y) => y < image.top) ?? [];
  const bottoms =
    marks?.map((m) => m.top).filter((y) => y > image.top + image.height) ?? [];
  const inner = {
    left: Math.max(0, ...lefts),
    top: Math.max(0, ...tops),
    right: Math.min(width, ...rights),
    bottom: Math.min(height, ...bottoms),
  };
  const below = image.top + image.height;
  const right = image.left + image.width;
  const wide = inner.right - inner.left;
  return [
    { left: inner.left, top: inner.top, width: wide, height: image.top - inner.top },
    { left: inner.left, top: below, width: wide, height: inner.bottom - below },
    {
      left: inner.left,
      top: image.top,
      width: image.left - inner.left,
      height: image.height,
    },
    { left: right, top: image.top, width: inner.right - right, height: image.height },
  ].filter((r) => r.width > 0 && r.height > 0);
}

/** A copy for a screen: the seen part of the picture, its longest side so many pixels, no border. */
export function screenPlan(
  master: { width: number; height: number },
  crop: { left: number; top: number; width: number; height: number },
  longest: number,
): PrintPlan {
  const source = {
    left: crop.left * master.width,
    top: crop.top * master.height,
    width: crop.width * master.width,
    height: crop.height * master.height,
  };
  const scale = longest / Math.max(source.width, source.height);
  const width = Math.max(1, Math.round(source.width * scale));
  const height = Math.max(1, Math.round(source.height * scale));
  const image = { left: 0, top: 0, width, height };
  return { width, height, image, source, factor: width / source.width };
}

/** Bytes of the print file: 8-bit RGB without compression, and some for its head and profile. */
export const printFileBytes = (fit: FitResult, ppi: number): number =>
  pixelsFor(fit.paper.width, ppi) * pixelsFor(fit.paper.height, ppi) * 3 + 1000;
