import type { CutJob, CutPlan, CutSheetPlan } from './types';

/** What is wrong with a plan: what no plan of a job can be. */
export type PlanFault =
  | 'notStraight'
  | 'notThrough'
  | 'tooLong'
  /** A sheet that is larger than the trimmer takes. */
  | 'tooLarge'
  /** A piece, or a rest, that no cut leaves. */
  | 'notLeft'
  /** A part that is neither piece nor rest. */
  | 'unnamedPart'
  | 'noStock'
  | 'otherSheet'
  | 'empty'
  | 'otherPiece'
  | 'otherSize'
  /** Turned against its grain. */
  | 'grain'
  | 'twice'
  | 'margin'
  | 'near'
  /** A piece that is held elsewhere, or otherwise, than it lies. */
  | 'heldElsewhere'
  /** More than there is. */
  | 'notEnough'
  | 'missing';

const NEAR = 1e-6;
interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What is wrong with the cuts of a sheet, made one after another as whoever holds it would. */
function cutsFault(sheet: CutSheetPlan, longest: number): PlanFault | null {
  let parts: Rect[] = [{ x: 0, y: 0, width: sheet.width, height: sheet.length }];
  const same = (a: number, b: number) => Math.abs(a - b) < NEAR;
  for (const c of sheet.cuts) {
    const down = same(c.x1, c.x2);
    if (down === same(c.y1, c.y2)) return 'notStraight';
    const hand = parts.find((p) =>
      down
        ? same(p.y, c.y1) &&
          same(p.y + p.height, c.y2) &&
          c.x1 > p.x + NEAR &&
          c.x1 < p.x + p.width - NEAR
        : same(p.x, c.x1) &&
          same(p.x + p.width, c.x2) &&
          c.y1 > p.y + NEAR &&
          c.y1 < p.y + p.height - NEAR,
    );
    if (!hand) return 'notThrough';
    if ((down ? hand.height : hand.width) > longest + NEAR) return 'tooLong';
    parts = parts.filter((p) => p !== hand);
    parts.push(
      ...(down
        ? [
            { ...hand, width: c.x1 - hand.x },
            { ...hand, x: c.x1, width: hand.x + hand.width - c.x1 },
          ]
        : [
            { ...hand, height: c.y1 - hand.y },
            { ...hand, y: c.y1, height: hand.y + hand.height - c.y1 },
          ]),
    );
  }
  const equal = (a: Rect, b: Rect) =>
    same(a.x, b.x) && same(a.y, b.y) && same(a.width, b.width) && same(a.height, b.height);
  for (const rect of [...sheet.places, ...sheet.rests]) {
    const at = parts.findIndex((p) => equal(p, rect));
    if (at < 0) return 'notLeft';
    parts.splice(at, 1);
  }
  return parts.length > 0 ? 'unnamedPart' : null;
}

/**
 * Whether a piece that is held lies on another sheet, in another place or turned another way.
 * Sheets that were begun come first and in their order; those that stayed empty are left out.
 */
function liesElsewhere({ holds = [], begun = [] }: CutJob, { sheets }: CutPlan): boolean {
  const sheetOf = new Map<number, number>();
  for (const hold of holds)
    for (const [i, { stock, places }] of sheets.entries()) {
      const p = places.find((x) => x.piece === hold.piece && x.copy === hold.copy);
      if (!p) continue;
      if (i > hold.sheet || begun[hold.sheet]?.stock !== stock) return true;
      if ((sheetOf.get(hold.sheet) ?? i) !== i) return true;
      sheetOf.set(hold.sheet, i);
      const away = Math.abs((hold.x ?? p.x) - p.x) + Math.abs((hold.y ?? p.y) - p.y);
      if (away > NEAR || (hold.turned ?? p.turned) !== p.turned) return true;
    }
  const inPlan = [...sheetOf].sort(([a], [b]) => a - b).map(([, i]) => i);
  return inPlan.some((i, k) => k > 0 && i <= inPlan[k - 1]!);
}

/** Whether the trimmer takes a sheet, one way round or the other. */
const isWithin = (
  { width, length }: CutSheetPlan,
  most: { width: number; height: number },
) =>
  Math.min(width, length) < Math.min(most.width, most.height) + NEAR &&
  Math.max(width, length) < Math.max(most.width, most.height) + NEAR;

/**
 * What is wrong with a plan of a job; null for nothing. It follows every cut as whoever holds the
 * sheet would, and shares nothing with the planning: whatever a plan came from, it can be held against its job.
 * @example planFault({ pieces: [{ id: 'a', width: 9, height: 9, count: 1, mayTurn: true }], stock: [], margin: { left: 0, right: 0, top: 0, bottom: 0 }, gutter: 0, trim: 0, school: 'printThenCut' }, { sheets: [], unplaced: [], wasteShare: 0, yieldShare: 0, cost: 0, bound: null, boundOf: 'sheets', proved: false }) // 'missing'
 */
export function planFault(job: CutJob, plan: CutPlan): PlanFault | null {
  const { margin: m, gutter, trim, school } = job;
  const prints = school === 'printThenCut';
  const seen = new Set<string>();
  const used = new Map<string, number>();
  for (const sheet of plan.sheets) {
    const stock = job.stock.find((s) => s.id === sheet.stock);
    if (!stock || stock.width !== sheet.width) return 'noStock';
    used.set(
      stock.id,
      (used.get(stock.id) ?? 0) + (stock.kind === 'sheet' ? 1 : sheet.length),
    );
    if (stock.kind === 'sheet' && stock.height !== sheet.length) return 'otherSheet';
    if (sheet.places.length === 0) return 'empty';
    if (job.largestSheet && !isWithin(sheet, job.largestSheet)) return 'tooLarge';
    const deckle = stock.kind === 'sheet' ? (stock.deckle ?? 0) : 0;
    const edge = (side: number) => Math.max(prints ? side : 0, deckle) + trim - NEAR;
    for (const [i, p] of sheet.places.entries()) {
      const piece = job.pieces.find((x) => x.id === p.piece);
      if (!piece || !Number.isInteger(p.copy) || p.copy < 0) return 'otherPiece';
      const [w, h] = p.turned ? [piece.height, piece.width] : [piece.width, piece.height];
      if (Math.abs(w - p.width) + Math.abs(h - p.height) > NEAR) return 'otherSize';
      if (p.turned && !piece.mayTurn) return 'grain';
      if (seen.has(`${p.piece} ${p.copy}`) || p.copy >= piece.count) return 'twice';
      seen.add(`${p.piece} ${p.copy}`);
      if (
        p.x < edge(m.left) ||
        p.y < edge(m.top) ||
        p.x + p.width > sheet.width - edge(m.right) ||
        p.y + p.height > sheet.length - edge(m.bottom)
      )
        return 'margin';
      const gap = (prints ? gutter : 0) + 2 * trim - NEAR;
      for (const q of sheet.places.slice(i + 1)) {
        const apart = Math.max(
          q.x - (p.x + p.width),
          p.x - (q.x + q.width),
          q.y - (p.y + p.height),
          p.y - (q.y + q.height),
        );
        if (apart < gap) return 'near';
      }
    }
    const fault = cutsFault(sheet, job.longestCut ?? Infinity);
    if (fault) return fault;
  }
  for (const s of job.stock)
    if (
      (used.get(s.id) ?? 0) >
      (s.kind === 'sheet' ? s.count : s.length * (s.count ?? 1)) + NEAR
    )
      return 'notEnough';
  if (liesElsewhere(job, plan)) return 'heldElsewhere';
  const wanted = job.pieces.reduce((n, p) => n + p.count, 0);
  return seen.size + plan.unplaced.length === wanted ? null : 'missing';
}
