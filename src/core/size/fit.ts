import { mm } from '../units';
import type { Millimetres, Size } from '../units';
import { WHOLE, cropAt, cropLoss } from './crop';
import type { CropChoice, CropRect } from './crop';
import { sameOnAllSides } from './layout';
import type { Layout, Sides } from './layout';

export interface FitResult {
  /** The print as it is sold, after trimming and tearing. */
  sheet: Size;
  /** The picture that is seen on it. */
  image: Size;
  /** White left of and right of, above and below the image. */
  left: Millimetres;
  right: Millimetres;
  above: Millimetres;
  below: Millimetres;
  /** Share of the picture's area that is lost, 0..1. */
  cropShare: number;
  /** Part of the master that is seen. */
  crop: CropRect;
  /** What goes into the printer: the sheet and what is trimmed or torn away. */
  paper: Size;
  /** From the paper's edge to the sheet's, on every side. */
  beyond: Millimetres;
  /** Picture printed over the sheet's edges, and the part of the master with it. */
  printed: { bleed: Sides; crop: CropRect };
}

const HAIR = 1e-6;

/** The size of a picture in a room: it fills the room, or touches it across or down. */
function imageIn(room: Size, proportion: number, fills: boolean): Size {
  if (fills) return room;
  const width = Math.min(room.width, room.height * proportion);
  return { width: mm(width), height: mm(width / proportion) };
}

/** White around an image on a sheet; what is to spare in height goes below, where the print is signed. */
function margins(sheet: Size, image: Size, borders: Sides) {
  const spare = {
    across: sheet.width - image.width - borders.left - borders.right,
    down: sheet.height - image.height - borders.above - borders.below,
  };
  const left = borders.left + spare.across / 2;
  const right = borders.right + spare.across / 2;
  const above = Math.min(
    borders.above + spare.down / 2,
    Math.max(borders.above, Math.min(left, right)),
  );
  return {
    left: mm(left),
    right: mm(right),
    above: mm(above),
    below: mm(sheet.height - image.height - above),
  };
}

/** The image within a larger part of the picture that runs over the edges as bleed. */
function seenOf(part: CropRect, image: Size, bleed: Sides): CropRect {
  const width = part.width / (image.width + bleed.left + bleed.right);
  const height = part.height / (image.height + bleed.above + bleed.below);
  return {
    left: part.left + bleed.left * width,
    top: part.top + bleed.above * height,
    width: image.width * width,
    height: image.height * height,
  };
}

/**
 * Lays a picture of the given proportion (width / height) out on a nominal size. Lengths in
 * mm, exact but for rounding of doubles. `choice` is the crop chosen for this ratio, in the
 * middle and as large as it can be otherwise. Throws RangeError when the borders leave no
 * paper to print on.
 * @example fitToSheet(size(300, 400), 0.75, plainLayout('within', mm(20))) // { image: { width: 260, height: 346.67 } }
 */
export function fitToSheet(
  nominal: Size,
  proportion: number,
  layout: Layout,
  choice?: CropChoice,
): FitResult {
  const { fit, borders, place } = layout;
  const white = {
    across: borders.left + borders.right,
    down: borders.above + borders.below,
  };
  const inside = place === 'inside';
  const room = {
    width: mm(nominal.width - (inside ? white.across : 0)),
    height: mm(nominal.height - (inside ? white.down : 0)),
  };
  if (room.width <= 0 || room.height <= 0)
    throw new RangeError('borders wider than the sheet');
  const image = imageIn(room, proportion, fit === 'fill');
  const within = fit === 'cut' ? image : room;
  const sheet =
    fit !== 'cut' && inside
      ? { width: nominal.width, height: nominal.height }
      : { width: mm(within.width + white.across), height: mm(within.height + white.down) };
  const around = margins(sheet, image, borders);
  const over = (white_: Millimetres) => (white_ < HAIR ? layout.bleed : mm(0));
  const bleed = {
    above: over(around.above),
    right: over(around.right),
    below: over(around.below),
    left: over(around.left),
  };
  const bleeds = Object.values(bleed).some((b) => b > 0);
  const printedProportion =
    (image.width + bleed.left + bleed.right) / (image.height + bleed.above + bleed.below);
  const part =
    fit === 'fill'
      ? cropAt(proportion, printedProportion, choice)
      : bleeds
        ? cropAt(proportion, printedProportion)
        : WHOLE;
  const crop = bleeds ? seenOf(part, image, bleed) : part;
  const beyond = mm(Math.max(layout.deckle, bleeds ? layout.bleed : 0));
  return {
    sheet,
    image,
    ...around,
    crop,
    cropShare: cropLoss(crop),
    paper: {
      width: mm(sheet.width + 2 * beyond),
      height: mm(sheet.height + 2 * beyond),
    },
    beyond,
    printed: { bleed: bleeds ? bleed : sameOnAllSides(mm(0)), crop: part },
  };
}
