/** Whether several prints lie on a sheet and are cut apart, or paper is cut first and printed piece by piece. */
export type CutSchool = 'printThenCut' | 'cutThenPrint';
export const CUT_SCHOOLS: readonly CutSchool[] = ['printThenCut', 'cutThenPrint'];

/** What is wanted, mm: the finished piece of paper. */
export interface CutPiece {
  id: string;
  width: number;
  height: number;
  count: number;
  /** May lie across: its grain is free. */
  mayTurn: boolean;
  /** What belongs together (a work): of equal pieces, those of one group come on one sheet. */
  group?: string;
  /** Lower comes first: on the first sheets, and on paper where there is not enough for all. */
  due?: number;
}

/** A sheet, mm; `leftOver`: a part of one that was cut before, used before any other. */
export interface CutSheet {
  id: string;
  kind: 'sheet';
  width: number;
  height: number;
  count: number;
  /** Minor units for one. */
  price?: number;
  leftOver?: boolean;
  /** Ragged or torn edges that belong to no piece, mm on every side. */
  deckle?: number;
}

/** A roll, mm: its width, what is left of it, and what that costs in minor units. */
export interface CutRoll {
  id: string;
  kind: 'roll';
  width: number;
  length: number;
  /** Rolls of it; left out: one. */
  count?: number;
  price?: number;
}

export type CutStock = CutSheet | CutRoll;

/** What a printer cannot print on at each edge of a sheet, mm. */
export interface CutMargin {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A piece that somebody put in its place: on a sheet of the plan, and where and how it lies there. */
export interface CutHold {
  /** The piece, and which of its count (0, 1, …). */
  piece: string;
  copy: number;
  /** Which sheet of the plan. */
  sheet: number;
  /** Upper left corner, mm; left out: anywhere on that sheet. */
  x?: number;
  y?: number;
  turned?: boolean;
}

export interface CutJob {
  pieces: readonly CutPiece[];
  stock: readonly CutStock[];
  margin: CutMargin;
  /** Least distance of two pieces, mm. */
  gutter: number;
  /** What falls away around every piece when it is cut to its size, mm. */
  trim: number;
  school: CutSchool;
  /** Longest cut that the trimmer makes, mm. */
  longestCut?: number;
  /** Largest sheet that the trimmer takes, mm, either way round. */
  largestSheet?: { width: number; height: number };
  /** What is left over counts as stock from this size on, mm, either way round. */
  keepFrom?: { width: number; height: number };
  /** What is due (whatever has a `due`) is gathered on the first sheets, the rest is put around it. */
  dueFirst?: boolean;
  /** The sheets that a plan begins with, by the id of their stock: those that pieces are held on. */
  begun?: readonly { stock: string; length?: number }[];
  holds?: readonly CutHold[];
}

export interface CutPlace {
  piece: string;
  copy: number;
  x: number;
  y: number;
  /** As it lies. */
  width: number;
  height: number;
  turned: boolean;
}

/** A straight cut from edge to edge of the part in hand, mm from the sheet's upper left. */
export interface Cut {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

export interface CutRest {
  x: number;
  y: number;
  width: number;
  height: number;
  /** Large enough to be kept. */
  kept: boolean;
}

export interface CutSheetPlan {
  stock: string;
  width: number;
  /** Of a roll: what is printed and cut off of it. */
  length: number;
  places: CutPlace[];
  /** In the order in which they are made. */
  cuts: Cut[];
  /** What belongs to no piece after the last cut. */
  rests: CutRest[];
  /** Minor units; null where the stock has no price. */
  cost: number | null;
}

/** Why a piece lies nowhere. */
export type UnplacedWhy =
  | 'noStock'
  /** Larger than every sheet, with margins, trim and grain as they are. */
  | 'tooLarge'
  /** It would lie on a sheet, but the trimmer cannot cut it out. */
  | 'longestCut'
  /** There is not enough. */
  | 'notEnough';

export interface Unplaced {
  piece: string;
  copy: number;
  why: UnplacedWhy;
}

export interface CutPlan {
  sheets: CutSheetPlan[];
  unplaced: Unplaced[];
  /** Share of the paper used that is neither piece nor kept, 0..1. */
  wasteShare: number;
  /** Share that is pieces, 0..1. */
  yieldShare: number;
  /** Minor units; null where some stock used has no price. */
  cost: number | null;
  /** The proved least number of sheets, or millimetres of roll; null where none is proved. */
  bound: number | null;
  boundOf: 'sheets' | 'rollLength';
  /** Every pattern of straight cuts was looked at: no fewer are possible. */
  proved: boolean;
}

/** How far a plan is: 0..1, and the best there is so far. */
export interface CutProgress {
  share: number;
  best: CutPlan | null;
}

/** Something about a job that makes no sense; refused before anything is planned. */
export interface CutFault {
  what:
    | 'noPieces'
    | 'tooMany'
    | 'noStock'
    | 'size'
    | 'count'
    | 'margin'
    | 'gutter'
    | 'twice'
    | 'hold';
  /** The piece or stock it is about. */
  of: string;
}
