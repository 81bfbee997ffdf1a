import type { CropRect } from '@/core/size';

export const STEP = 0.01;
export const SCALE = 1.02;

export const between = (least: number, value: number, most: number) =>
  Math.max(least, Math.min(most, value));

/** The area that arrow keys move, and with Shift widen or narrow. */
export function areaMoved(
  area: CropRect,
  across: number,
  down: number,
  grows: boolean,
): CropRect {
  if (grows)
    return {
      ...area,
      width: between(0.02, area.width + across, 1 - area.left),
      height: between(0.02, area.height + down, 1 - area.top),
    };
  return {
    ...area,
    left: between(0, area.left + across, 1 - area.width),
    top: between(0, area.top + down, 1 - area.height),
  };
}

export const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
