import type { Size } from '../../units';

/** One piece of a tiled scan or a stitched photograph, in millimetres from the top left of the original. */
export interface Piece {
  number: number;
  left: number;
  top: number;
  width: number;
  height: number;
}

/** How an original is covered by pieces of one size. */
export interface Pieces {
  across: number;
  down: number;
  /** Whether the field is turned by 90 degrees against how it lies. */
  turned: boolean;
  /** Field of one piece as used, mm. */
  field: Size;
  pieces: Piece[];
}

/**
 * Pieces along one axis: ceil((length - overlap) / (field - overlap)), at least one.
 * @example piecesAlong(400, 216, 20) // 2
 */
export function piecesAlong(length: number, field: number, overlap: number): number {
  if (field >= length) return 1;
  if (field <= overlap) return Infinity;
  return Math.ceil((length - overlap) / (field - overlap) - 1e-9);
}

/** Evenly spread places of `count` fields over a length; the overlap is then at least the one asked for. */
const places = (length: number, field: number, count: number): number[] =>
  count === 1
    ? [(length - field) / 2]
    : Array.from({ length: count }, (_, i) => (i * (length - field)) / (count - 1));

/** Covers an original with fields lying as given. Overlaps in mm along each axis. */
function cover(
  original: Size,
  field: Size,
  overlap: { across: number; down: number },
  turned: boolean,
): Pieces | null {
  const across = piecesAlong(original.width, field.width, overlap.across);
  const down = piecesAlong(original.height, field.height, overlap.down);
  if (!Number.isFinite(across * down) || across * down > 10000) return null;
  const tops = places(original.height, field.height, down);
  const lefts = places(original.width, field.width, across);
  // Rows are walked to and fro, so that the camera or the work moves by one step at a time.
  const pieces = tops.flatMap((top, row) => {
    const order = row % 2 === 0 ? lefts : [...lefts].reverse();
    return order.map((left, i) => ({
      number: row * across + i + 1,
      left,
      top,
      width: field.width,
      height: field.height,
    }));
  });
  return { across, down, turned, field, pieces };
}

/**
 * Covers an original with a field, lying or turned, whichever needs fewer pieces; at a tie as
 * it lies. `overlapOf` gives the overlap, mm, for a side of the field. Null when the overlap
 * eats the field both ways.
 */
export function fewestPieces(
  original: Size,
  field: Size,
  overlapOf: (side: number) => number,
): Pieces | null {
  const tried = [false, true].map((turned) => {
    const f = turned ? { width: field.height, height: field.width } : field;
    const overlap = { across: overlapOf(f.width), down: overlapOf(f.height) };
    return cover(original, f, overlap, turned);
  });
  const [lying, standing] = tried;
  if (!lying || !standing) return lying ?? standing ?? null;
  return standing.pieces.length < lying.pieces.length ? standing : lying;
}
