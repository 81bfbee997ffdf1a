import { defineVersioned } from '../facts';
import { toldPlan } from './toldPlan';
import { CUT_SCHOOLS } from './types';
import type { CutJob, CutMargin, CutPlan, CutSchool, CutStock } from './types';

/** What a piece on a sheet is printed for. */
export const PIECE_PURPOSES = ['order', 'edition', 'proof', 'sheet', 'card'] as const;
export type PiecePurpose = (typeof PIECE_PURPOSES)[number];

/** What is wanted of a sheet plan: so many prints of one file, mm. */
export interface PlannedPiece {
  /** What it is of, by which it is told from others: `order:12`, `edition:7`. */
  id: string;
  purpose: PiecePurpose;
  title: string;
  /** The size as it is called. */
  size: string;
  workId: number | null;
  sizeKey: string | null;
  /** The print file, or the proof or settings sheet; neither: none is written yet. */
  fileId: number | null;
  sheetId: number | null;
  lineId: number | null;
  /** Number of the order. */
  order: string | null;
  dueOn: string | null;
  width: number;
  height: number;
  count: number;
  mayTurn: boolean;
}

/** How sheets are cut: the school, what printer and trimmer can, what counts as stock afterwards. mm. */
export interface SheetRules {
  school: CutSchool;
  margin: CutMargin;
  gutter: number;
  trim: number;
  longestCut: number | null;
  largestSheet: { width: number; height: number } | null;
  keepFrom: { width: number; height: number } | null;
  dueFirst: boolean;
  /** Cut marks, and a line of words at each piece, on the file of a sheet. */
  marks: boolean;
  labels: boolean;
}

/** A piece that stays: on one of the sheets that a plan begins with, in its place where that is said. */
export interface SheetLock {
  piece: string;
  copy: number;
  sheet: number;
  x?: number;
  y?: number;
  turned?: boolean;
}

/** A sheet plan as it is kept. */
export interface SheetPlanState {
  pieces: PlannedPiece[];
  /** The lots that it is cut from; null: whatever is left of the paper. */
  lots: number[] | null;
  rules: SheetRules;
  /** The sheets that locked pieces lie on: the first of the plan. */
  begun: { stock: string; length?: number }[];
  locks: SheetLock[];
  /** What there was to cut from when it was planned. */
  stock: CutStock[];
  plan: CutPlan | null;
  /** It was stopped before its end: a better one may exist. */
  stopped: boolean;
}

/** Rules of thumb to begin with, mm. */
export const USUAL_RULES: SheetRules = {
  school: 'printThenCut',
  margin: { left: 5, right: 5, top: 5, bottom: 15 },
  gutter: 8,
  trim: 0,
  longestCut: 1200,
  largestSheet: null,
  keepFrom: { width: 148, height: 210 },
  dueFirst: false,
  marks: true,
  labels: true,
};

const isList = (v: unknown) => Array.isArray(v);

/** The kept fact of it. */
export const SHEET_PLAN = defineVersioned<SheetPlanState>({
  name: 'sheet plan',
  upgrades: [],
  holds: ({ pieces, rules, begun, locks, stock }) =>
    isList(pieces) &&
    isList(begun) &&
    isList(locks) &&
    isList(stock) &&
    CUT_SCHOOLS.includes((rules as SheetRules | undefined)?.school as CutSchool),
});

/** Pieces of one day come before those of the next; those without a day last. */
function dueRanks(pieces: readonly PlannedPiece[]): Map<string, number> {
  const days = [...new Set(pieces.flatMap((p) => p.dueOn?.slice(0, 10) ?? []))].sort();
  return new Map(
    pieces.flatMap((p) =>
      p.dueOn === null ? [] : [[p.id, days.indexOf(p.dueOn.slice(0, 10))] as const],
    ),
  );
}

/**
 * What is asked of the cutting by a sheet plan.
 * @example sheetJob({ pieces: [], lots: null, rules: USUAL_RULES, begun: [], locks: [], stock: [], plan: null, stopped: false }).gutter // 8
 */
export function sheetJob(state: SheetPlanState): CutJob {
  const { rules, begun, locks, stock } = state;
  const due = dueRanks(state.pieces);
  return {
    pieces: state.pieces.map(({ id, width, height, count, mayTurn, workId, sheetId }) => ({
      id,
      width,
      height,
      count,
      mayTurn,
      group: workId === null ? `sheet ${sheetId}` : `work ${workId}`,
      ...(due.has(id) ? { due: due.get(id)! } : {}),
    })),
    stock,
    school: rules.school,
    margin: rules.margin,
    gutter: rules.gutter,
    trim: rules.trim,
    dueFirst: rules.dueFirst,
    ...(rules.longestCut === null ? {} : { longestCut: rules.longestCut }),
    ...(rules.largestSheet === null ? {} : { largestSheet: rules.largestSheet }),
    ...(rules.keepFrom === null ? {} : { keepFrom: rules.keepFrom }),
    ...(locks.length > 0 ? { begun, holds: locks } : {}),
  };
}

/** A plan with its sheets in another order. */
const inOrder = (plan: CutPlan, order: readonly number[]): CutPlan => ({
  ...plan,
  sheets: order.map((i) => plan.sheets[i]!),
});

/** Only sheets on which something is locked come first; the locks say which. */
function settled(state: SheetPlanState): SheetPlanState {
  const { begun, locks, plan } = state;
  const held = begun.map((_, i) => i).filter((i) => locks.some((l) => l.sheet === i));
  const sheets = plan?.sheets.map((_, i) => i) ?? [];
  const rest = sheets.filter((i) => !held.includes(i));
  return {
    ...state,
    begun: held.map((i) => begun[i]!),
    locks: locks.map((l) => ({ ...l, sheet: held.indexOf(l.sheet) })),
    plan: plan && inOrder(plan, [...held.filter((i) => i < plan.sheets.length), ...rest]),
  };
}

/**
 * The locks of a plan and the sheets that they are on, those of which hold none left out.
 * @example locksOf({ pieces: [], lots: null, rules: USUAL_RULES, begun: [{ stock: 'a' }, { stock: 'b' }], locks: [{ piece: 'p', copy: 0, sheet: 1 }], stock: [], plan: null, stopped: false }).begun // [{ stock: 'b' }]
 */
export const locksOf = (state: SheetPlanState): Pick<SheetPlanState, 'begun' | 'locks'> => {
  const { begun, locks } = settled({ ...state, plan: null });
  return { begun, locks };
};

/** Lets go of one piece of a kind. */
export const freed = (state: SheetPlanState, piece: string, copy: number): SheetPlanState =>
  settled({
    ...state,
    locks: state.locks.filter((l) => l.piece !== piece || l.copy !== copy),
  });

/**
 * How long a part of a roll is begun on which a piece comes to lie elsewhere: longer by the
 * piece, as far as the roll goes. What is not needed of it is not cut off.
 */
function roomFor(
  { plan, pieces, rules, stock }: SheetPlanState,
  piece: string,
  sheet: number,
): number {
  const on = plan!.sheets[sheet]!;
  const of = pieces.find((p) => p.id === piece);
  const more = of ? Math.max(of.width, of.height) + rules.gutter + 2 * rules.trim : 0;
  const roll = stock.find((s) => s.id === on.stock);
  const others = plan!.sheets.reduce(
    (sum, s, i) => (i !== sheet && s.stock === on.stock ? sum + s.length : sum),
    0,
  );
  const most = roll?.kind === 'roll' ? roll.length - others : on.length;
  return Math.max(on.length, Math.min(most, on.length + more));
}

/**
 * Keeps a piece on a sheet of the plan (counted from 0), in a place where `at` says one; the
 * sheets with locked pieces become the first. Without such a sheet nothing changes.
 */
export function locked(
  state: SheetPlanState,
  { piece, copy, sheet }: { piece: string; copy: number; sheet: number },
  at: { x: number; y: number; turned: boolean } | { turned: boolean } | null,
): SheetPlanState {
  const of = state.plan?.sheets[sheet];
  if (!state.plan || !of) return state;
  const others = state.locks.filter((l) => l.piece !== piece || l.copy !== copy);
  const stays = of.places.some(
    (p) =>
      p.piece === piece &&
      p.copy === copy &&
      at !== null &&
      'x' in at &&
      at.x === p.x &&
      at.y === p.y &&
      at.turned === p.turned,
  );
  const roll = state.stock.find((s) => s.id === of.stock)?.kind === 'roll';
  const length = stays ? of.length : roomFor(state, piece, sheet);
  const begins = { stock: of.stock, ...(roll ? { length } : {}) };
  let { begun, plan } = state;
  let place = sheet;
  if (sheet < begun.length) begun = begun.map((b, i) => (i === sheet ? begins : b));
  else {
    place = begun.length;
    begun = [...begun, begins];
    const order = plan.sheets.map((_, i) => i).filter((i) => i !== sheet);
    order.splice(place, 0, sheet);
    plan = inOrder(plan, order);
  }
  const locks = [...others, { piece, copy, sheet: place, ...(at ?? {}) }];
  return settled({ ...state, plan, begun, locks });
}

/**
 * What is left to do when a sheet of the plan was printed: its pieces and its paper are gone,
 * the other sheets stay as they are.
 */
export function withoutSheet(state: SheetPlanState, index: number): SheetPlanState {
  const gone = state.plan?.sheets[index];
  if (!state.plan || !gone) return state;
  const isGone = (piece: string, copy: number) =>
    gone.places.some((p) => p.piece === piece && p.copy === copy);
  // Copies are counted anew: those that are left keep their order.
  const rank = new Map<string, number>();
  const pieces = state.pieces.flatMap((p) => {
    let left = 0;
    for (let copy = 0; copy < p.count; copy += 1)
      if (!isGone(p.id, copy)) {
        rank.set(`${copy} ${p.id}`, left);
        left += 1;
      }
    return left === 0 ? [] : [{ ...p, count: left }];
  });
  const again = <T extends { piece: string; copy: number }>(of: T): T => ({
    ...of,
    copy: rank.get(`${of.copy} ${of.piece}`)!,
  });
  const stays = ({ piece, copy }: { piece: string; copy: number }) => !isGone(piece, copy);
  const stock = state.stock.map((s): CutStock => {
    if (s.id !== gone.stock) return s;
    if (s.kind === 'sheet') return { ...s, count: s.count - 1 };
    const length = s.length - gone.length;
    const price =
      s.price === undefined ? {} : { price: Math.round((s.price * length) / s.length) };
    return { ...s, ...price, length };
  });
  const next = settled({
    ...state,
    pieces,
    stock: stock.filter((s) => (s.kind === 'sheet' ? s.count > 0 : s.length >= 1)),
    locks: state.locks.filter(stays).map(again),
  });
  const { sheets, unplaced, ...told } = next.plan!;
  const left = sheets
    .filter((s) => s !== gone)
    .map((s) => ({ ...s, places: s.places.map(again) }));
  const fewest = told.proved && told.boundOf === 'sheets' && told.bound !== null;
  const plan = {
    ...told,
    sheets: left,
    unplaced: unplaced.map(again),
    bound: fewest ? told.bound! - 1 : null,
    proved: fewest,
  };
  return { ...next, plan: toldPlan({ ...state.rules }, plan) };
}
