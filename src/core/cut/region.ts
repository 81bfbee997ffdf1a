/**
 * A rectangle that is parted by straight cuts from edge to edge: free, taken by one piece, or
 * parted into strips that lie side by side (`across`) or one under another (`down`). Regions
 * are never changed; what is put in or taken out gives a new one that shares the rest.
 * Sizes are whole numbers of one unit, pieces with the gutter that goes with them.
 */
export class Region {
  /** Pieces in it. */
  readonly count: number;
  /** Widest and highest free part. */
  readonly freeWidth: number;
  readonly freeHeight: number;
  /** Sum of `room` over its free parts: many small ones are worth less than a large one. */
  readonly worth: number;
  /** Something in it stays where it is. */
  readonly fixed: boolean;

  constructor(
    readonly width: number,
    readonly height: number,
    /** The piece that takes all of it; -1 for none. */
    readonly piece: number,
    readonly turned: boolean,
    readonly strips: readonly Region[] | null,
    readonly across: boolean,
    locked = false,
  ) {
    if (strips === null) {
      const free = piece < 0;
      this.count = free ? 0 : 1;
      this.freeWidth = free ? width : 0;
      this.freeHeight = free ? height : 0;
      this.worth = free ? room(width, height) : 0;
      this.fixed = locked;
      return;
    }
    let count = 0;
    let freeWidth = 0;
    let freeHeight = 0;
    let worth = 0;
    let fixed = false;
    for (const strip of strips) {
      count += strip.count;
      if (strip.freeWidth > freeWidth) freeWidth = strip.freeWidth;
      if (strip.freeHeight > freeHeight) freeHeight = strip.freeHeight;
      worth += strip.worth;
      fixed ||= strip.fixed;
    }
    this.fixed = fixed;
    this.count = count;
    this.freeWidth = freeWidth;
    this.freeHeight = freeHeight;
    this.worth = worth;
  }

  get isFree(): boolean {
    return this.piece < 0 && this.strips === null;
  }
}

/** What a free rectangle is worth: its area to the power of 1.5. */
export function room(width: number, height: number): number {
  const area = width * height;
  return area * Math.sqrt(area);
}

/** A free rectangle. */
export const freeRegion = (width: number, height: number): Region =>
  new Region(width, height, -1, false, null, false);

/**
 * Strips joined to one region: what is free among them becomes one free strip at the end (where
 * something stays in its place: what is free side by side), and strips that are parted in the
 * same direction are taken in.
 */
export function joined(
  width: number,
  height: number,
  across: boolean,
  strips: readonly Region[],
): Region {
  const parts: Region[] = [];
  let stays = false;
  for (const s of strips) stays ||= s.fixed;
  let free = 0;
  for (const strip of strips) {
    // What is parted in the same direction has no such strips of its own.
    const inner = strip.strips !== null && strip.across === across ? strip.strips : null;
    const count = inner === null ? 1 : inner.length;
    for (let i = 0; i < count; i += 1) {
      const part = inner === null ? strip : inner[i]!;
      if (part.isFree) {
        free += across ? part.width : part.height;
        continue;
      }
      if (stays && free > 0) {
        parts.push(across ? freeRegion(free, height) : freeRegion(width, free));
        free = 0;
      }
      parts.push(part);
    }
  }
  if (free > 0) parts.push(across ? freeRegion(free, height) : freeRegion(width, free));
  return parts.length === 1
    ? parts[0]!
    : new Region(width, height, -1, false, parts, across);
}

/** Puts a piece into the upper left of a free rectangle; `across`: what is beside it is parted off first. */
export function filled(
  free: Region,
  piece: number,
  width: number,
  height: number,
  turned: boolean,
  across: boolean,
): Region {
  const taken = new Region(width, height, piece, turned, null, false);
  const right = free.width - width;
  const under = free.height - height;
  if (right === 0 && under === 0) return taken;
  if (across) {
    const column =
      under === 0
        ? taken
        : joined(width, free.height, false, [taken, freeRegion(width, under)]);
    return right === 0
      ? column
      : joined(free.width, free.height, true, [column, freeRegion(right, free.height)]);
  }
  const row =
    right === 0
      ? taken
      : joined(free.width, height, true, [taken, freeRegion(right, height)]);
  return under === 0
    ? row
    : joined(free.width, free.height, false, [row, freeRegion(free.width, under)]);
}

/** A region with another in the place of the strip that a path of indices leads to. */
export function replaced(
  whole: Region,
  path: readonly number[],
  by: Region,
  depth = 0,
): Region {
  if (depth === path.length) return by;
  const at = path[depth]!;
  const strips = whole.strips!.slice();
  strips[at] = replaced(strips[at]!, path, by, depth + 1);
  return joined(whole.width, whole.height, whole.across, strips);
}

/** Every piece in it with its place. */
export function eachPlace(
  region: Region,
  say: (piece: number, x: number, y: number, of: Region) => void,
  x = 0,
  y = 0,
): void {
  if (region.strips === null) {
    if (region.piece >= 0) say(region.piece, x, y, region);
    return;
  }
  let [left, top] = [x, y];
  for (const strip of region.strips) {
    eachPlace(strip, say, left, top);
    if (region.across) left += strip.width;
    else top += strip.height;
  }
}

/** A region whose pieces are numbered by a list. */
export function renumbered(region: Region, numbers: readonly number[]): Region {
  const { width, height, piece, turned, strips, across, fixed } = region;
  if (strips === null)
    return piece < 0
      ? region
      : new Region(width, height, numbers[piece]!, turned, null, false, fixed);
  const inner = strips.map((s) => renumbered(s, numbers));
  return new Region(width, height, -1, false, inner, across);
}

/** The pieces in a region. */
export function piecesIn(region: Region, into: number[] = []): number[] {
  if (region.piece >= 0) into.push(region.piece);
  for (const s of region.strips ?? []) piecesIn(s, into);
  return into;
}
