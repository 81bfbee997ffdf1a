import type { CutPlan, CutSheetPlan } from './types';

interface Extent {
  width: number;
  height: number;
}

const area = (r: Extent) => r.width * r.height;
const areas = (all: readonly Extent[]) => all.reduce((sum, r) => sum + area(r), 0);

/** Whether a left-over is as large as what counts as stock, either way round; in any unit. */
export const isKept = (rest: Extent, from: Extent | null | undefined): boolean =>
  from != null &&
  ((rest.width >= from.width && rest.height >= from.height) ||
    (rest.width >= from.height && rest.height >= from.width));

/**
 * A plan with what its sheets amount to: which left-overs are kept, the share of the paper that
 * is waste and that is pieces, the cost (null where a sheet has none).
 * @example toldPlan({}, { sheets: [], unplaced: [], wasteShare: 1, yieldShare: 1, cost: null, bound: null, boundOf: 'sheets', proved: false }).wasteShare // 0
 */
export function toldPlan(
  { keepFrom }: { keepFrom?: Extent | null },
  plan: CutPlan,
): CutPlan {
  const sheets = plan.sheets.map((s) => ({
    ...s,
    rests: s.rests.map((r) => ({ ...r, kept: isKept(r, keepFrom) })),
  }));
  const used = sheets.reduce((sum, s) => sum + s.width * s.length, 0);
  const pieces = sheets.reduce((sum, s) => sum + areas(s.places), 0);
  const kept = sheets.reduce((sum, s) => sum + areas(s.rests.filter((r) => r.kept)), 0);
  const costs = sheets.map((s) => s.cost);
  return {
    ...plan,
    sheets,
    wasteShare: used === 0 ? 0 : Math.max(0, 1 - (pieces + kept) / used),
    yieldShare: used === 0 ? 0 : pieces / used,
    cost: costs.every((c) => c !== null) ? costs.reduce((a, c) => a + c, 0) : null,
  };
}

/** What each piece of a sheet, and each left-over that is kept, has of its paper; 1 in all. */
export interface SheetShares {
  /** In the order of the places: a piece bears its part of the waste. */
  places: number[];
  /** In the order of the rests; 0 for those that are thrown away. */
  rests: number[];
}

/**
 * How the paper of a sheet is shared out: a left-over that is kept by its area, the rest of the
 * sheet among its pieces by theirs.
 * @example sheetShares({ stock: 's', width: 10, length: 10, places: [{ piece: 'a', copy: 0, x: 0, y: 0, width: 5, height: 4, turned: false }], cuts: [], rests: [{ x: 0, y: 5, width: 10, height: 5, kept: true }], cost: 4 }).places // [0.5]
 */
export function sheetShares(sheet: CutSheetPlan): SheetShares {
  const whole = sheet.width * sheet.length;
  const rests = sheet.rests.map((r) => (r.kept ? area(r) / whole : 0));
  const left = 1 - rests.reduce((a, b) => a + b, 0);
  const pieces = areas(sheet.places);
  return { places: sheet.places.map((p) => (left * area(p)) / pieces), rests };
}

/** A cut as it is made: which part is in hand, and how far from its left or upper edge. mm. */
export interface CutInHand {
  down: boolean;
  part: { x: number; y: number; width: number; height: number };
  from: number;
}

/**
 * The cuts of a sheet one after another, each with the part that is in hand.
 * @example cutsInHand({ stock: 's', width: 10, length: 10, places: [], cuts: [{ x1: 0, y1: 4, x2: 10, y2: 4 }], rests: [], cost: null })[0].from // 4
 */
export function cutsInHand(sheet: CutSheetPlan): CutInHand[] {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  let parts = [{ x: 0, y: 0, width: sheet.width, height: sheet.length }];
  return sheet.cuts.map((c) => {
    const down = near(c.x1, c.x2);
    const part = parts.find((p) =>
      down
        ? near(p.y, c.y1) &&
          near(p.y + p.height, c.y2) &&
          c.x1 > p.x &&
          c.x1 < p.x + p.width
        : near(p.x, c.x1) &&
          near(p.x + p.width, c.x2) &&
          c.y1 > p.y &&
          c.y1 < p.y + p.height,
    ) ?? { x: 0, y: 0, width: sheet.width, height: sheet.length };
    const from = down ? c.x1 - part.x : c.y1 - part.y;
    const two = down
      ? [
          { ...part, width: from },
          { ...part, x: c.x1, width: part.width - from },
        ]
      : [
          { ...part, height: from },
          { ...part, y: c.y1, height: part.height - from },
        ];
    parts = [...parts.filter((p) => p !== part), ...two];
    return { down, part, from };
  });
}
