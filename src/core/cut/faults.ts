import type { CutFault, CutJob } from './types';

/** Pieces that are planned at once. */
export const MOST_PIECES = 1000;
const MOST_ROLLS = 100;
/** Longest side of anything, mm; a roll may be longer. */
const LONGEST = 20_000;
const LONGEST_ROLL = 500_000;

const isSize = (mm: number, most = LONGEST) => Number.isFinite(mm) && mm >= 1 && mm <= most;
const isGap = (mm: number) => Number.isFinite(mm) && mm >= 0 && mm <= LONGEST;
const isCount = (n: number, least: number) => Number.isInteger(n) && n >= least && n <= 1e6;

const repeated = (ids: readonly string[]) => ids.find((id, i) => ids.indexOf(id) !== i);

/** Whether a margin leaves anything of a sheet or a roll. */
function margined({ margin: m, school, stock }: CutJob): CutFault | null {
  const sides = [m.left, m.right, m.top, m.bottom];
  if (!sides.every(isGap)) return { what: 'margin', of: '' };
  for (const s of stock) {
    const deckle = s.kind === 'sheet' ? (s.deckle ?? 0) : 0;
    if (!isGap(deckle)) return { what: 'margin', of: s.id };
    const at = (side: number) =>
      school === 'printThenCut' ? Math.max(side, deckle) : deckle;
    const wide = s.width - at(m.left) - at(m.right);
    const high = (s.kind === 'sheet' ? s.height : s.length) - at(m.top) - at(m.bottom);
    if (wide <= 0 || high <= 0) return { what: 'margin', of: s.id };
  }
  return null;
}

function held({ holds = [], begun = [], pieces, stock }: CutJob): CutFault | null {
  const seen = new Set<string>();
  for (const h of holds) {
    const piece = pieces.find((p) => p.id === h.piece);
    const key = `${h.copy} ${h.piece}`;
    const whole = (h.x === undefined) === (h.y === undefined);
    const there = Number.isInteger(h.sheet) && h.sheet >= 0 && h.sheet < begun.length;
    const copy = piece && Number.isInteger(h.copy) && h.copy >= 0 && h.copy < piece.count;
    if (!copy || !there || !whole || seen.has(key)) return { what: 'hold', of: h.piece };
    seen.add(key);
  }
  for (const b of begun)
    if (!stock.some((s) => s.id === b.stock)) return { what: 'hold', of: b.stock };
  return null;
}

/**
 * The first thing about a job that makes no sense; null where it can be planned.
 * @example cutFault({ pieces: [], stock: [], margin: { left: 0, right: 0, top: 0, bottom: 0 }, gutter: 0, trim: 0, school: 'printThenCut' })?.what // 'noPieces'
 */
export function cutFault(job: CutJob): CutFault | null {
  const { pieces, stock, gutter, trim, longestCut, largestSheet, keepFrom } = job;
  if (pieces.length === 0) return { what: 'noPieces', of: '' };
  for (const p of pieces) {
    if (!isSize(p.width) || !isSize(p.height)) return { what: 'size', of: p.id };
    if (!isCount(p.count, 1)) return { what: 'count', of: p.id };
  }
  if (pieces.reduce((n, p) => n + p.count, 0) > MOST_PIECES)
    return { what: 'tooMany', of: '' };
  if (stock.length === 0) return { what: 'noStock', of: '' };
  for (const s of stock) {
    const long = s.kind === 'sheet' ? isSize(s.height) : isSize(s.length, LONGEST_ROLL);
    if (!isSize(s.width) || !long) return { what: 'size', of: s.id };
    const count = s.kind === 'sheet' ? s.count : (s.count ?? 1);
    if (!isCount(count, 0) || (s.kind === 'roll' && count > MOST_ROLLS))
      return { what: 'count', of: s.id };
    if (s.price !== undefined && !(Number.isInteger(s.price) && s.price >= 0))
      return { what: 'size', of: s.id };
  }
  const twice = repeated(pieces.map((p) => p.id)) ?? repeated(stock.map((s) => s.id));
  if (twice !== undefined) return { what: 'twice', of: twice };
  if (!isGap(gutter) || !isGap(trim)) return { what: 'gutter', of: '' };
  if (longestCut !== undefined && !isSize(longestCut))
    return { what: 'size', of: 'longestCut' };
  for (const [name, s] of Object.entries({ largestSheet, keepFrom }))
    if (s && (!isSize(s.width) || !isSize(s.height))) return { what: 'size', of: name };
  return margined(job) ?? held(job);
}
