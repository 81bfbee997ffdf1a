import type { CutJob, CutPiece, CutStock } from './types';
import type { Block, CutLimits } from './search';
import type { SheetType } from './packSheets';
import { whole } from './whole';

/** One of the pieces wanted: which, and which of its count. */
export interface Copy {
  piece: CutPiece;
  copy: number;
}

/** Stock as pieces are packed on it, whole units: from where, and how much; the gutter with it. */
export interface Usable {
  stock: CutStock;
  left: number;
  top: number;
  width: number;
  /** Of a sheet; of a roll the most that is left of it. */
  height: number;
  /** What a length of a roll takes beyond what lies on it. */
  ends: number;
}

const sidesOf = ({ margin: m, school }: CutJob, stock: CutStock) => {
  const deckle = stock.kind === 'sheet' ? (stock.deckle ?? 0) : 0;
  const at = (side: number) =>
    whole(school === 'printThenCut' ? Math.max(side, deckle) : deckle);
  return { left: at(m.left), right: at(m.right), top: at(m.top), bottom: at(m.bottom) };
};

/** Paper that is cut before it is printed needs no distance between pieces. */
export const gutterOf = ({ school, gutter }: CutJob): number =>
  school === 'printThenCut' ? whole(gutter) : 0;

/** Where on a sheet or a roll pieces may lie. */
export function usableOf(job: CutJob, stock: CutStock): Usable {
  const { left, right, top, bottom } = sidesOf(job, stock);
  const gutter = gutterOf(job);
  const long = whole(stock.kind === 'sheet' ? stock.height : stock.length);
  return {
    stock,
    left,
    top,
    width: whole(stock.width) - left - right + gutter,
    height: long - top - bottom + gutter,
    ends: top + bottom - gutter,
  };
}

/** What the trimmer's longest cut means for regions of sheets, with their gutter. */
export const limitsOf = (job: CutJob): CutLimits => {
  const most =
    job.longestCut === undefined ? Infinity : whole(job.longestCut) + gutterOf(job);
  return { across: most, down: most };
};

/** The longest part of a roll that the trimmer takes in one, pieces with their gutter. */
export function partOfRoll({ largestSheet }: CutJob, { stock, ends }: Usable): number {
  if (!largestSheet) return Infinity;
  const [short, long] = [largestSheet.width, largestSheet.height].sort((a, b) => a - b);
  return whole(stock.width <= short! ? long! : short!) - ends;
}

/**
 * The same for regions of a roll. It is cut off across first: after that no cut is longer than
 * a band is high. One that is wider than the longest cut is cut off by the printer band by
 * band, each with its margins, and parted the other way first.
 */
export function rollLimits(job: CutJob, usable: Usable): CutLimits {
  const { across, down } = limitsOf(job);
  const part = partOfRoll(job, usable);
  if (usable.stock.width <= (job.longestCut ?? Infinity))
    return { across: Infinity, down: Math.min(down, part) };
  return { across, down: Math.min(whole(job.longestCut!) - usable.ends, part) };
}

/** Whether a block lies on some stock by itself, and the trimmer can cut it out. */
export function liesOn(
  job: CutJob,
  { width, height, mayTurn }: Block,
  usable: Usable,
): boolean {
  const { stock } = usable;
  const { longestCut = Infinity } = job;
  // On a sheet that the trimmer cuts both ways no side of a piece is too long.
  const small = stock.kind === 'sheet' && Math.max(stock.width, stock.height) <= longestCut;
  const free = { across: Infinity, down: Infinity };
  const limits = small
    ? free
    : stock.kind === 'sheet'
      ? limitsOf(job)
      : rollLimits(job, usable);
  const [w, h] = [
    Math.min(usable.width, limits.across),
    Math.min(usable.height, limits.down),
  ];
  return (width <= w && height <= h) || (mayTurn && height <= w && width <= h);
}

/** Whether the trimmer takes a sheet at all, and can make a first cut in it. */
export function trimmerTakes(job: CutJob, stock: CutStock): boolean {
  const { longestCut = Infinity, largestSheet: most } = job;
  if (stock.kind === 'roll')
    return !most || stock.width <= Math.max(most.width, most.height);
  const [w, h] = [stock.width, stock.height];
  if (
    most &&
    !(w <= most.width && h <= most.height) &&
    !(h <= most.width && w <= most.height)
  )
    return false;
  return Math.min(w, h) <= longestCut;
}

/** All pieces one by one, and as blocks: with trim on every side, and the gutter. */
export function blocksOf(job: CutJob): { copies: Copy[]; blocks: Block[] } {
  const more = 2 * whole(job.trim) + gutterOf(job);
  const last = Math.max(0, ...job.pieces.map((p) => p.due ?? 0));
  const copies: Copy[] = [];
  const blocks: Block[] = [];
  for (const piece of job.pieces) {
    const width = whole(piece.width) + more;
    const height = whole(piece.height) + more;
    // Where paper is short, what is due first is left out last.
    const urgent = piece.due === undefined ? 1 : 2 + last - piece.due;
    for (let copy = 0; copy < piece.count; copy += 1) {
      copies.push({ piece, copy });
      blocks.push({
        width,
        height,
        mayTurn: piece.mayTurn,
        weight: width * height * urgent,
      });
    }
  }
  return { copies, blocks };
}

/** A kind of sheet as it is packed. Throws for a roll. */
export const typeOf = (usable: Usable): SheetType => {
  const { stock, width, height } = usable;
  if (stock.kind === 'roll') throw new Error('a roll is no sheet');
  return {
    width,
    height,
    count: stock.count,
    area: whole(stock.width) * whole(stock.height),
    leftOver: stock.leftOver === true,
  };
};
