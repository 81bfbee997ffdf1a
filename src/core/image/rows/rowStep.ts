/** Part of a picture, whole pixels: `right` and `bottom` are the first beyond it. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Pixels of a picture and samples of a pixel. */
export interface Shape {
  width: number;
  height: number;
  channels: number;
}

/** Takes one row of interleaved samples (0..65535, overshoot allowed); it may be reused afterwards. */
export type TakeRow = (row: Float32Array) => void;

/**
 * One thing that is done to a picture, row by row, so that no more than the rows at hand are
 * in memory. Any part of what comes out is the same as that part of the whole.
 */
export interface RowStep {
  /** What comes out. */
  out: Shape;
  /** Which part of what goes in a part of what comes out is made of. */
  under(box: Box): Box;
  /** Makes a part: takes the rows of `under(box)` in order, hands on those of `box` in order. */
  run(box: Box, emit: TakeRow): TakeRow;
}

/** A whole picture as a box, in pixels. */
export const wholeOf = ({ width, height }: { width: number; height: number }): Box => ({
  left: 0,
  top: 0,
  right: width,
  bottom: height,
});

/** A box with so many pixels more on every side, as far as the picture goes. */
export const grown = (
  { left, top, right, bottom }: Box,
  by: number,
  { width, height }: { width: number; height: number },
): Box => ({
  left: Math.max(0, left - by),
  top: Math.max(0, top - by),
  right: Math.min(width, right + by),
  bottom: Math.min(height, bottom + by),
});

/** Several steps, one after the other, as what goes in at their head. */
export function chain(
  steps: readonly RowStep[],
  box: Box,
  emit: TakeRow,
): { fed: Box; take: TakeRow } {
  let fed = box;
  let take = emit;
  for (const step of [...steps].reverse()) {
    take = step.run(fed, take);
    fed = step.under(fed);
  }
  return { fed, take };
}
