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
 * difference for each pixel of a picture, row by row.
 */
export function worstPlaces(
  found: ArrayLike<number>,
  { width, height }: { width: number; height: number },
): WorstPlace[] {
  const side = Math.max(1, Math.ceil(Math.max(width, height) / CELLS));
  const [across, down] = [Math.ceil(width / side), Math.ceil(height / side)];
  const sums = new Float64Array(across * down);
  const counts = new Float64Array(across * down);
  const most = new Int32Array(across * down).fill(-1);
  for (let y = 0, p = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, p += 1) {
      const cell = ((y / side) | 0) * across + ((x / side) | 0);
      sums[cell]! += found[p]!;
      counts[cell]! += 1;
      if (most[cell]! < 0 || found[p]! > found[most[cell]!]!) most[cell] = p;
    }
  const cells = Array.from(sums, (sum, cell) => ({ cell, mean: sum / counts[cell]! })).sort(
    (a, b) => b.mean - a.mean,
  );
  const placed: { column: number; row: number; cell: number; mean: number }[] = [];
  for (const { cell, mean } of cells) {
    if (placed.length >= PLACES || mean < LEAST) break;
    const [column, row] = [cell % across, (cell / across) | 0];
    const near = placed.some((c) => Math.hypot(c.column - column, c.row - row) < APART);
    if (!near) placed.push({ column, row, cell, mean });
  }
  return placed.map(({ cell, mean }) => {
    const at = most[cell]!;
    return {
      x: ((at % width) + 0.5) / width,
      y: (((at / width) | 0) + 0.5) / height,
      mean,
      most: found[at]!,
      at,
    };
  });
}
