import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';

/** Pixels that one thing on a sheet takes, its caption with it. */
export interface Piece {
  width: number;
  height: number;
  /** Neighbours of one group lie in one row where a row is as long. */
  group?: number;
  /** Stands alone at the right edge where there is room for it. */
  aside?: boolean;
}

export interface Place {
  left: number;
  top: number;
}

/** A piece with its place, and which one it is. */
interface Placed extends Piece {
  x: number;
  y: number;
  of: number;
}

/** A sheet that pieces may lie on, in pixels: its size, and what stays free at its edges and between pieces. */
export interface SheetRoom {
  width: number;
  height: number;
  margin: number;
  gutter: number;
  /** Kept free at the foot for the caption of the sheet. */
  foot: number;
}

/** Pieces of one size change places until they lie in their order, row by row. */
function inOrder(pieces: readonly Piece[], places: readonly Place[]): Place[] {
  const sorted = [...places];
  const done = new Set<string>();
  for (const { width, height } of pieces) {
    const size = `${width} ${height}`;
    if (done.has(size)) continue;
    done.add(size);
    const same = [...pieces.keys()].filter(
      (i) => pieces[i]!.width === width && pieces[i]!.height === height,
    );
    const free = same
      .map((i) => places[i]!)
      .sort((a, b) => a.top - b.top || a.left - b.left);
    same.forEach((i, k) => (sorted[i] = free[k]!));
  }
  return sorted;
}

/**
 * Places pieces on one sheet without overlap, none turned (maximal rectangles, Jylänki 2010);
 * equal ones lie in the order in which they were given. Null when they do not all fit.
 */
export function packPieces(pieces: readonly Piece[], room: SheetRoom): Place[] | null {
  const width = room.width - 2 * room.margin;
  const height = room.height - 2 * room.margin - room.foot;
  if (pieces.some((p) => p.width > width || p.height > height)) return null;
  const packer = new MaxRectsPacker<Placed>(width, height, room.gutter, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false,
    border: 0,
  });
  packer.addArray(
    pieces.map(({ width: w, height: h }, i) => ({
      width: w,
      height: h,
      x: 0,
      y: 0,
      of: i,
    })),
  );
  if (packer.bins.length !== 1) return null;
  const places: Place[] = [];
  for (const rect of packer.bins[0]!.rects)
    places[rect.of] = { left: rect.x + room.margin, top: rect.y + room.margin };
  return inOrder(pieces, places);
}

/** Row by row, as they come; null when the sheet ends before them. */
function packRows(pieces: readonly Piece[], room: SheetRoom): Place[] | null {
  const { margin, gutter } = room;
  const right = room.width - margin;
  const bottom = room.height - margin - room.foot;
  const places: Place[] = [];
  let [left, top, high] = [margin, margin, 0];
  for (const [i, { width, height, group }] of pieces.entries()) {
    const begins = group === undefined || pieces[i - 1]?.group !== group;
    const together = begins
      ? pieces.filter((p) => group !== undefined && p.group === group)
      : [];
    const long = together.reduce((sum, p) => sum + p.width + gutter, -gutter);
    if (left > margin && left + Math.max(width, long) > right) {
      top += high + gutter;
      [left, high] = [margin, 0];
    }
    if (left + width > right || top + height > bottom) return null;
    places.push({ left, top });
    left += width + gutter;
    high = Math.max(high, height);
  }
  return places;
}

/**
 * In straight rows, which are cut apart with straight cuts, and what stands aside beside them.
 * Null when the sheet is too small for that.
 */
export function packInRows(pieces: readonly Piece[], room: SheetRoom): Place[] | null {
  const at = pieces.findIndex((p) => p.aside);
  const aside = pieces[at];
  if (aside && aside.height <= room.height - 2 * room.margin - room.foot) {
    const narrower = { ...room, width: room.width - aside.width - room.gutter };
    const places = packRows(pieces.toSpliced(at, 1), narrower);
    const place = { left: room.width - room.margin - aside.width, top: room.margin };
    if (places) return places.toSpliced(at, 0, place);
  }
  return packRows(pieces, room);
}

/** A sheet that one has, upright or lying, in pixels at the ppi of the print. */
export interface SheetChoice {
  name: string;
  width: number;
  height: number;
}

export interface Packed {
  sheet: SheetChoice;
  places: Place[];
  /** Share of the sheet's area that no piece covers, 0..1. */
  waste: number;
}

/**
 * The sheet that holds all pieces with the least waste, tried both ways, in rows or else as
 * they fit; null when none does.
 */
export function chooseSheet(
  pieces: readonly Piece[],
  sheets: readonly SheetChoice[],
  room: Omit<SheetRoom, 'width' | 'height'>,
): Packed | null {
  const covered = pieces.reduce((sum, p) => sum + p.width * p.height, 0);
  let best: Packed | null = null;
  for (const sheet of sheets)
    for (const turned of [false, true]) {
      const lying = turned ? { ...sheet, width: sheet.height, height: sheet.width } : sheet;
      const all = { ...room, ...lying };
      const places = packInRows(pieces, all) ?? packPieces(pieces, all);
      const waste = 1 - covered / (lying.width * lying.height);
      if (places && (best === null || waste < best.waste - 1e-9))
        best = { sheet: lying, places, waste };
    }
  return best;
}
