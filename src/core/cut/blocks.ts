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

/** What the trimmer's longest cut means for regions with their gutter. */
export const limitsOf = (job: CutJob): CutLimits => {
  const most =
    job.longestCut === undefined ? Infinity : whole(job.longestCut) + gutterOf(job);
  return { across: most, down: most };
};

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
