export interface ZoomLevel {
  level: number;
  width: number;
  height: number;
  columns: number;
  rows: number;
}

/**
 * Levels of a deep-zoom pyramid, largest first: each half the one above (rounded up), down
 * to 1 x 1; numbered so that the largest is ceil(log2(longest side)).
 */
export function zoomLevels(width: number, height: number, tile: number): ZoomLevel[] {
  const top = Math.ceil(Math.log2(Math.max(width, height, 1)));
  return Array.from({ length: top + 1 }, (_, i) => {
    const w = Math.ceil(width / 2 ** i);
    const h = Math.ceil(height / 2 ** i);
    return {
      level: top - i,
      width: w,
      height: h,
      columns: Math.ceil(w / tile),
      rows: Math.ceil(h / tile),
    };
  });
}
