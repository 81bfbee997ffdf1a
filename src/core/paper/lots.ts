import { minor, mmOf } from '../units';
import type { Minor } from '../units';

export const LOT_KINDS = ['sheet', 'roll'] as const;
export type LotKind = (typeof LOT_KINDS)[number];

/** Why paper went out of a lot, or came back. */
export type LotUseKind =
  | 'print'
  | 'test'
  | 'spoiled'
  | 'other'
  | 'counted'
  | 'back'
  /** Cut off a sheet that was printed: it is a lot of its own. */
  | 'leftOver';

/** A lot with what is left of it: sheets and parts of them, or mm of a roll. */
export interface LotAtHand {
  id: number;
  kind: LotKind;
  /** mm; `height` of a roll is its whole length. */
  width: number;
  height: number;
  left: number;
  leftOver: boolean;
  /** Of one sheet, or of the whole roll. */
  price: Minor;
}

export interface Extent {
  width: number;
  height: number;
}

/** A side that is meant to be whole millimetres is so many pixels as are nearest to it. */
function meantSide(pixels: number, ppi: number): number {
  const side = mmOf(pixels, ppi);
  const whole = Math.round(side);
  return Math.abs(side - whole) <= mmOf(0.5, ppi) + 1e-9 ? whole : side;
}

/**
 * How large paper is that pixels are printed on, mm: where a side is a whole millimetre but for the
 * rounding to a pixel, that is what is meant.
 * @example meantExtent({ width: 2953, height: 3937 }, 250) // { width: 300, height: 400 }
 */
export const meantExtent = (pixels: Extent, ppi: number): Extent => ({
  width: meantSide(pixels.width, ppi),
  height: meantSide(pixels.height, ppi),
});

const times = (whole: number, part: number) => Math.floor(whole / part + 1e-9);

/**
 * How many pieces of one size can be cut from a sheet with straight cuts, as two blocks: some
 * columns upright, the rest of the sheet turned; or rows likewise. mm.
 * @example piecesOfSheet({ width: 210, height: 297 }, { width: 610, height: 914 }) // 8
 */
export function piecesOfSheet(piece: Extent, sheet: Extent): number {
  const { width: w, height: h } = piece;
  let most = 0;
  for (const [W, H] of [
    [sheet.width, sheet.height],
    [sheet.height, sheet.width],
  ] as const)
    for (const [a, b] of [
      [w, h],
      [h, w],
    ] as const)
      for (let columns = 0; columns <= times(W, a); columns += 1)
        most = Math.max(
          most,
          columns * times(H, b) + times(W - columns * a, b) * times(H, a),
        );
  return most;
}

/**
 * What part of a sheet one print takes: one of as many as can be cut from it; by its area where
 * none can. mm.
 * @example sheetShareOf({ width: 210, height: 297 }, { width: 420, height: 297 }) // 0.5
 */
export function sheetShareOf(piece: Extent, sheet: Extent): number {
  const pieces = piecesOfSheet(piece, sheet);
  const area = (e: Extent) => e.width * e.height;
  return pieces > 0 ? 1 / pieces : area(piece) / area(sheet);
}

/**
 * The shortest length of a roll that one piece lies on, mm; null where it is wider than the roll.
 * @example lengthOfRoll({ width: 300, height: 400 }, 610) // 300
 */
export function lengthOfRoll({ width, height }: Extent, roll: number): number | null {
  const ways = [...(width <= roll ? [height] : []), ...(height <= roll ? [width] : [])];
  return ways.length === 0 ? null : Math.min(...ways);
}

/** What one print takes of a lot: sheets or mm of a roll. Null where it does not lie on it. */
function amountOf(print: Extent, lot: LotAtHand): number | null {
  if (lot.kind === 'roll') return lengthOfRoll(print, lot.width);
  const pieces = piecesOfSheet(print, lot);
  return pieces === 0 ? null : 1 / pieces;
}

export interface Taken {
  lotId: number;
  amount: number;
  cost: Minor;
}

/** Why nothing is taken: the paper has no lot, none is as large, or what is left is too little. */
export type NotTaken = 'noLot' | 'tooLarge' | 'notEnough';

/** What part of a lot costs: of a sheet its share, of a roll its length. */
export const costOf = (lot: LotAtHand, amount: number): Minor =>
  minor(
    Math.round(
      lot.kind === 'sheet' ? lot.price * amount : (lot.price * amount) / lot.height,
    ),
  );

const NEAR = 1e-6;

/**
 * From which lot a print takes its paper: left-overs first, then the oldest that has enough
 * (`lots` come by age). Of a sheet it takes the share that one of as many pieces as can be cut
 * from it is; of a roll the length that it lies on.
 * @example takenBy({ width: 300, height: 400 }, [{ id: 1, kind: 'sheet', width: 610, height: 914, left: 5, leftOver: false, price: 800 }]) // { lotId: 1, amount: 0.25, cost: 200 }
 */
export function takenBy(print: Extent, lots: readonly LotAtHand[]): Taken | NotTaken {
  if (lots.length === 0) return 'noLot';
  const fitting = lots.flatMap((lot) => {
    const amount = amountOf(print, lot);
    return amount === null ? [] : [{ lot, amount }];
  });
  if (fitting.length === 0) return 'tooLarge';
  const order = [
    ...fitting.filter(({ lot }) => lot.leftOver),
    ...fitting.filter(({ lot }) => !lot.leftOver),
  ];
  const found = order.find(({ lot, amount }) => lot.left >= amount - NEAR);
  if (!found) return 'notEnough';
  const { lot, amount } = found;
  return { lotId: lot.id, amount, cost: costOf(lot, amount) };
}
