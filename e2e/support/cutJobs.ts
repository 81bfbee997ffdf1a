import type { CutJob } from '@/core/cut';
import { chance } from '@/core/image/chance';

/** A job of a few pieces on whole millimetres, from a seed. */
export function smallJob(seed: number): CutJob {
  const r = chance(seed);
  const upTo = (n: number) => Math.floor(r() * n);
  const width = 40 + upTo(60);
  const height = 40 + upTo(60);
  const gutter = r() < 0.5 ? 0 : 1 + upTo(4);
  const side = () => (r() < 0.5 ? 0 : upTo(5));
  return {
    pieces: Array.from({ length: 1 + upTo(7) }, (_, i) => ({
      id: `p${i}`,
      width: 6 + upTo(width * 0.7),
      height: 6 + upTo(height * 0.7),
      count: 1,
      mayTurn: r() < 0.7,
    })),
    stock: [{ id: 's', kind: 'sheet', width, height, count: 2, price: 500 }],
    margin: { left: side(), right: side(), top: side(), bottom: side() },
    gutter,
    trim: 0,
    school: 'printThenCut',
  };
}

/**
 * The fewest pieces that must be left, and with these the fewest sheets: every pattern of
 * straight cuts of every part of the pieces, from the sheet down, one cut after another.
 */
export function everyWay(job: CutJob): { left: number; sheets: number } {
  const { margin: m, gutter: g } = job;
  const [sheet] = job.stock;
  if (sheet?.kind !== 'sheet') throw new Error('for sheets');
  const W = sheet.width - m.left - m.right;
  const H = sheet.height - m.top - m.bottom;
  const pieces = job.pieces;
  const sums = new Map<number, number[]>();
  // Where a cut down the sheet may lie: behind some of the pieces, side by side.
  const cutsBehind = (set: number): number[] => {
    const before = sums.get(set);
    if (before) return before;
    let all = new Set([-g]);
    pieces.forEach((p, i) => {
      if (!(set & (1 << i))) return;
      const more = new Set(all);
      for (const a of all) {
        more.add(a + p.width + g);
        if (p.mayTurn) more.add(a + p.height + g);
      }
      all = more;
    });
    const list = [...all].filter((a) => a > 0 && a < W).sort((a, b) => a - b);
    sums.set(set, list);
    return list;
  };
  const known = new Map<number, number>();
  /** The least height of a set within a width: its first cut goes across, or down. */
  function height(set: number, w: number): number {
    if (w <= 0) return Infinity;
    const key = set * 1000 + w;
    const before = known.get(key);
    if (before !== undefined) return before;
    let least = Infinity;
    if ((set & (set - 1)) === 0) {
      const p = pieces[31 - Math.clz32(set)]!;
      if (p.width <= w) least = p.height;
      if (p.mayTurn && p.height <= w) least = Math.min(least, p.width);
    } else
      for (let a = (set - 1) & set; a > 0; a = (a - 1) & set) {
        const b = set ^ a;
        if (a > b) least = Math.min(least, height(a, w) + g + height(b, w));
        for (const x of cutsBehind(a))
          if (x < w) least = Math.min(least, Math.max(height(a, x), height(b, w - x - g)));
      }
    known.set(key, least);
    return least;
  }
  const fits = (set: number) => height(set, W) <= H;
  const all = (1 << pieces.length) - 1;
  const count = (set: number) => set.toString(2).split('1').length - 1;
  let best = { left: pieces.length, sheets: 0 };
  const better = (left: number, sheets: number) => {
    if (left < best.left || (left === best.left && sheets < best.sheets))
      best = { left, sheets };
  };
  for (let a = all; a > 0; a -= 1) {
    if (!fits(a)) continue;
    better(count(all ^ a), 1);
    const rest = all ^ a;
    if (sheet.count > 1)
      for (let b = rest; b > 0; b = (b - 1) & rest) if (fits(b)) better(count(rest ^ b), 2);
  }
  return best;
}

const SIZES = [
  [148, 210],
  [210, 297],
  [297, 420],
  [203.2, 254],
  [279.4, 355.6],
  [304.8, 406.4],
  [130, 180],
  [300, 400],
] as const;

/** A job of prints on whatever there may be, from a seed. */
export function printsJob(seed: number): CutJob {
  const r = chance(seed);
  const often = (share: number) => r() < share;
  const roll = { id: 'r', kind: 'roll', length: 12_000, price: 8400 } as const;
  const stock: CutJob['stock'] = [
    { id: 's', kind: 'sheet', width: 610, height: 914, count: 10, price: 780 },
    { id: 't', kind: 'sheet', width: 420, height: 594, count: 5, price: 480 },
    { id: 'l', kind: 'sheet', width: 305, height: 500, count: 1, price: 0, leftOver: true },
    { ...roll, width: often(0.5) ? 610 : 1118 },
  ];
  const some = stock.filter(() => often(0.6));
  return {
    pieces: Array.from({ length: 3 + Math.floor(r() * 6) }, (_, i) => {
      const [width, height] = SIZES[Math.floor(r() * SIZES.length)]!;
      const count = 1 + Math.floor(r() * 4);
      return { id: `p${i}`, width, height, count, mayTurn: often(0.7), group: `w${i % 3}` };
    }),
    stock: some.length > 0 ? some : stock.slice(0, 1),
    margin: { left: 5, right: 5, top: 5, bottom: 15 },
    gutter: 4,
    trim: often(0.3) ? 3 : 0,
    school: often(0.8) ? 'printThenCut' : 'cutThenPrint',
    ...(often(0.5) ? { longestCut: 650 + Math.floor(r() * 400) } : {}),
    keepFrom: { width: 200, height: 250 },
  };
}
