import { mm, pixelsFor } from '../../units';
import type { PixelRect } from '../../prepare';
import { STRIP_PATCHES } from './chooseStrip';

/** A patch, mm: wide enough for the aperture of a hand-held instrument. */
export const PATCH_MM = 8;
const COLUMNS = 12;

/** Where the patches of a strip lie, row by row; pixels at `ppi` from its own corner. */
export function layOutStrip(ppi: number): {
  width: number;
  height: number;
  side: number;
  places: PixelRect[];
} {
  const side = pixelsFor(mm(PATCH_MM), ppi);
  return {
    side,
    width: COLUMNS * side,
    height: Math.ceil(STRIP_PATCHES / COLUMNS) * side,
    places: Array.from({ length: STRIP_PATCHES }, (_, i) => ({
      left: (i % COLUMNS) * side,
      top: Math.floor(i / COLUMNS) * side,
      width: side,
      height: side,
    })),
  };
}
