/** A place in a picture where much is lost; shares of its width and height, 0..1. */
export interface WorstPlace {
  x: number;
  y: number;
  /** Mean difference around it, CIEDE2000, and that of the pixel where most is lost. */
  mean: number;
  most: number;
  /** The pixel where most is lost, by its number. */
  at: number;
}

/** Cells along the longer side of the picture. */
const CELLS = 32;
const PLACES = 3;
/** Places are at least so many cells apart. */
const APART = 5;
/** A mean below this is not worth a look. */
const LEAST = 1;

/**
 * The places where most is lost, worst first, three at most, apart from each other. `found`: a
 * difference for each colour; `of`: for each pixel the place of its colour, row by row.
 */
export function worstPlaces(
  found: ArrayLike<number>,
  of: ArrayLike<number>,
  { width, height }: { width: number; height: number },
): WorstPlace[] {
  const side = Math.max(1, Math.ceil(Math.max(width, height) / CELLS));
  const [across, down] = [Math.ceil(width / side), Math.ceil(height / side)];
  const cells = Array.from({ length: across * down }, (_, i) =>
    cellOf(found, of, width, {
      left: (i % across) * side,
      top: ((i / across) | 0) * side,
      right: Math.min(width, ((i % across) + 1) * side),
      bottom: Math.min(height, (((i / across) | 0) + 1) * side),
    }),
  );
  const order = cells.map((c, cell) => ({ ...c, cell })).sort((a, b) => b.mean - a.mean);
  const placed: typeof order = [];
  for (const place of order) {
    if (placed.length >= PLACES || place.mean < LEAST) break;
    const near = placed.some(
      ({ cell }) =>
        Math.hypot(
          (cell % across) - (place.cell % across),
          ((cell / across) | 0) - ((place.cell / across) | 0),
        ) < APART,
    );
    if (!near) placed.push(place);
  }
  return placed.map(({ at, mean }) => ({
    x: ((at % width) + 0.5) / width,
    y: (((at / width) | 0) + 0.5) / height,
    mean,
    most: found[of[at]!]!,
    at,
  }));
}

/** The mean difference of a cell, and its pixel where most is lost. */
function cellOf(
  found: ArrayLike<number>,
  of: ArrayLike<number>,
  width: number,
  {
    left,
    top,
    right,
    bottom,
  }: { left: number; top: number; right: number; bottom: number },
): { mean: number; at: number } {
  let [sum, most, at] = [0, -1, top * width + left];
  for (let y = top; y < bottom; y += 1)
    for (let p = y * width + left; p < y * width + right; p += 1) {
      const v = found[of[p]!]!;
      sum += v;
      if (v > most) {
        most = v;
        at = p;
      }
    }
  return { mean: sum / Math.max(1, (right - left) * (bottom - top)), at };
}
