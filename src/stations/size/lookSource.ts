import { pixelsFor } from '@/core/units';
import type { FitResult } from '@/core/size';

/** Edge of a window that is asked for at once, device pixels. */
export const LOOK_TILE = 256;

/** What the server is asked for windows of a print: which part of the picture, how it is printed, how large the screen shows it. */
export interface LookSource {
  width: number;
  height: number;
  url: (x: number, y: number, across?: number, down?: number) => string;
}

/** Windows of a print at so many device pixels for each of its millimetres. */
export function lookSource(
  masterId: number,
  fit: Pick<FitResult, 'crop' | 'image'>,
  printPpi: number,
  pixelsPerMm: number,
): LookSource {
  const { crop, image } = fit;
  const width = Math.max(1, Math.round(image.width * pixelsPerMm));
  const height = Math.max(1, Math.round(image.height * pixelsPerMm));
  return lookOf(masterId, crop, {
    print: {
      width: Math.max(1, pixelsFor(image.width, printPpi)),
      height: Math.max(1, pixelsFor(image.height, printPpi)),
    },
    screen: { width, height },
  });
}

/** Windows of a part of the picture, printed with so many pixels and shown on so many. */
export function lookOf(
  masterId: number,
  crop: FitResult['crop'],
  {
    print,
    screen,
  }: {
    print: { width: number; height: number };
    screen: { width: number; height: number };
  },
): LookSource {
  const fixed = new URLSearchParams({
    left: crop.left.toFixed(8),
    top: crop.top.toFixed(8),
    width: crop.width.toFixed(8),
    height: crop.height.toFixed(8),
    printWidth: String(print.width),
    printHeight: String(print.height),
    screenWidth: String(screen.width),
    screenHeight: String(screen.height),
  });
  return {
    ...screen,
    url: (x, y, across = LOOK_TILE, down = LOOK_TILE) =>
      `/api/looks/${masterId}?${fixed}&x=${x}&y=${y}&across=${across}&down=${down}`,
  };
}
