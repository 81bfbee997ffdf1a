/**
 * By which rule a board's light is read now. 1: its values came through another space first, so
 * that a wide or a linear profile showed too little falloff. 2: its own profile alone.
 */
export const BOARD_RULE = 2;

/** Linear luminance of a photographed plain board, means over a grid of cells, row by row. */
export interface BoardGrid {
  columns: number;
  rows: number;
  light: Float64Array;
}

export type Corner = 'topLeft' | 'topRight' | 'bottomLeft' | 'bottomRight';

export interface Evenness {
  /** Brightest over darkest cell, stops. */
  falloff: number;
  /** Stops of each cell against the centre; negative is darker. */
  stops: number[];
  columns: number;
  rows: number;
  /** The corner farthest below the centre, and by how many stops (negative is darker). */
  worst: { corner: Corner; stops: number };
  corners: Record<Corner, number>;
  /**
   * `tilted`: one side is darker than the other, so one light is nearer or stronger.
   * `hollow`: all sides fall off alike, so the lights (or the lens's own falloff) are too near.
   */
  shape: 'even' | 'tilted' | 'hollow';
  /** Side that is darker, when tilted. */
  darkSide: 'left' | 'right' | 'top' | 'bottom' | null;
  verdict: 'good' | 'fair' | 'poor';
}

/** Share of each side that counts as a corner or as the centre. */
const CORNER = 1 / 6;

/** Mean of the light between shares of both sides. */
function meanOf(
  { columns, rows, light }: BoardGrid,
  [x0, x1]: readonly [number, number],
  [y0, y1]: readonly [number, number],
): number {
  const at = (share: number, count: number) => Math.round(share * count);
  const left = Math.min(columns - 1, at(x0, columns));
  const right = Math.max(left + 1, at(x1, columns));
  const top = Math.min(rows - 1, at(y0, rows));
  const bottom = Math.max(top + 1, at(y1, rows));
  let sum = 0;
  for (let y = top; y < bottom; y += 1)
    for (let x = left; x < right; x += 1) sum += light[y * columns + x]!;
  return sum / ((right - left) * (bottom - top));
}

/**
 * Evenness of light from a board: falloff in stops = log2(brightest / darkest) of the linear
 * luminance over the grid. `good` and `poor` are the limits of the verdict, stops.
 */
export function judgeEvenness(
  grid: BoardGrid,
  { goodStops, poorStops }: { goodStops: number; poorStops: number },
): Evenness {
  const low = [0, CORNER] as const;
  const mid = [0.5 - CORNER / 2, 0.5 + CORNER / 2] as const;
  const high = [1 - CORNER, 1] as const;
  const all = [0, 1] as const;
  const centre = meanOf(grid, mid, mid);
  const against = (value: number) => Math.log2(Math.max(value, 1e-9) / centre);
  const corners = {
    topLeft: against(meanOf(grid, low, low)),
    topRight: against(meanOf(grid, high, low)),
    bottomLeft: against(meanOf(grid, low, high)),
    bottomRight: against(meanOf(grid, high, high)),
  };
  const names = Object.keys(corners) as Corner[];
  const worst = names.reduce((a, b) => (corners[b] < corners[a] ? b : a));
  const stops = Array.from(grid.light, against);
  const falloff = Math.max(...stops) - Math.min(...stops);
  const sides = {
    left: against(meanOf(grid, low, all)),
    right: against(meanOf(grid, high, all)),
    top: against(meanOf(grid, all, low)),
    bottom: against(meanOf(grid, all, high)),
  };
  const lean = sides.left - sides.right;
  const rise = sides.top - sides.bottom;
  const tilt = Math.max(Math.abs(lean), Math.abs(rise));
  const even = falloff <= goodStops;
  const shape = even ? 'even' : tilt >= falloff / 3 ? 'tilted' : 'hollow';
  const darker =
    Math.abs(lean) >= Math.abs(rise)
      ? lean < 0
        ? ('left' as const)
        : ('right' as const)
      : rise < 0
        ? ('top' as const)
        : ('bottom' as const);
  return {
    falloff,
    stops,
    columns: grid.columns,
    rows: grid.rows,
    corners,
    worst: { corner: worst, stops: corners[worst] },
    shape,
    darkSide: shape === 'tilted' ? darker : null,
    verdict: even ? 'good' : falloff <= poorStops ? 'fair' : 'poor',
  };
}
