import { mm } from '../units';
import type { Millimetres, Size } from '../units';

/** `within`: whole picture, margins unequal. `fill`: picture cropped. `cut`: sheet cut so that margins are equal. */
export type Fit = 'within' | 'fill' | 'cut';

export interface FitResult {
  sheet: Size;
  image: Size;
  /** White left of and right of the image, each. */
  sides: Millimetres;
  above: Millimetres;
  below: Millimetres;
  /** Share of the picture's area that is lost, 0..1. */
  cropShare: number;
  /** Part of the master that is printed, as fractions of its width and height. */
  crop: { left: number; top: number; width: number; height: number };
}

const WHOLE = { left: 0, top: 0, width: 1, height: 1 };

/**
 * Lays a picture of the given proportion (width / height) on a sheet with a white border
 * inside the sheet. Throws RangeError when the border leaves no paper to print on.
 */
export function fitToSheet(
  sheet: Size,
  proportion: number,
  border: Millimetres,
  fit: Fit,
): FitResult {
  const room = { width: sheet.width - 2 * border, height: sheet.height - 2 * border };
  if (room.width <= 0 || room.height <= 0)
    throw new RangeError('border wider than the sheet');
  const roomProportion = room.width / room.height;
  if (fit === 'fill') {
    const wide = proportion > roomProportion;
    const width = wide ? roomProportion / proportion : 1;
    const height = wide ? 1 : proportion / roomProportion;
    return {
      sheet,
      image: { width: mm(room.width), height: mm(room.height) },
      sides: border,
      above: border,
      below: border,
      cropShare: 1 - width * height,
      crop: { left: (1 - width) / 2, top: (1 - height) / 2, width, height },
    };
  }
  const width = Math.min(room.width, room.height * proportion);
  const image = { width: mm(width), height: mm(width / proportion) };
  if (fit === 'cut') {
    return {
      sheet: { width: mm(width + 2 * border), height: mm(image.height + 2 * border) },
      image,
      sides: border,
      above: border,
      below: border,
      cropShare: 0,
      crop: WHOLE,
    };
  }
  const spare = sheet.height - image.height;
  const sides = mm((sheet.width - width) / 2);
  // What is left over in height goes below, where the print is signed and the mat is heavier.
  const above = mm(Math.min(spare / 2, Math.max(border, sides)));
  return {
    sheet,
    image,
    sides,
    above,
    below: mm(spare - above),
    cropShare: 0,
    crop: WHOLE,
  };
}
