import type { Box } from '../image';
import type { PrintPlan } from './printPlan';

/** Most pixels of the picture under a patch: what is read and sent stays under 50 MB. */
const MOST_SOURCE = 7e6;

/**
 * The piece of the print, in its pixels, that has room on the screen (whole pixels of it) and
 * whose part of the picture is not too much to be read; `centre` 0..1 of the print's picture,
 * `zoom` pixels of the screen to one of the print. Never beyond the picture.
 */
export function patchBox(
  room: { width: number; height: number },
  { image, factor }: Pick<PrintPlan, 'image' | 'factor'>,
  zoom: 1 | 2,
  centre: { x: number; y: number },
): Box {
  const fit = Math.min(
    1,
    Math.sqrt(MOST_SOURCE / ((room.width * room.height) / factor ** 2)),
  );
  const side = (length: number, whole: number) =>
    Math.max(1, Math.min(whole, Math.floor((length / zoom) * fit)));
  const width = side(room.width, image.width);
  const height = side(room.height, image.height);
  const from = (c: number, whole: number, length: number) =>
    Math.round(Math.min(whole - length, Math.max(0, c * whole - length / 2)));
  const left = from(centre.x, image.width, width);
  const top = from(centre.y, image.height, height);
  return { left, top, right: left + width, bottom: top + height };
}
