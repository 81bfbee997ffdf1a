import type { EveryPattern } from './everyPattern';
import type { Bin, PackedSheets, SheetType } from './packSheets';
import { comparedRanks } from './packSheets';

/** Combinations of sheets that are looked at. */
const MOST_CHOICES = 3000;

/** Every choice of sheets, none more often than there are of it nor than there are blocks. */
function choices(types: readonly SheetType[], blocks: number): number[][] | null {
  let all: number[][] = [[]];
  for (const type of types) {
    const most = Math.min(type.count, blocks);
    all = all.flatMap((c) => Array.from({ length: most + 1 }, (_, n) => [...c, n]));
    all = all.filter((c) => c.reduce((sum, n) => sum + n, 0) <= blocks);
    if (all.length > MOST_CHOICES) return null;
  }
  const rank = (choice: readonly number[]) => {
    const sum = (of: (t: SheetType) => number) =>
      choice.reduce((a, n, i) => a + n * of(types[i]!), 0);
    return [
      sum((t) => (t.leftOver ? 0 : 1)),
      sum((t) => (t.leftOver ? 0 : t.area)),
      sum(() => 1),
      sum((t) => t.area),
    ];
  };
  return all
    .map((choice) => ({ choice, rank: rank(choice) }))
    .sort((a, b) => comparedRanks(a.rank, b.rank))
    .map(({ choice }) => choice);
}

/** What a choice of sheets can hold: each set that may be left of `from`, and how it came about. */
function leftAfter(
  every: EveryPattern,
  fits: (type: number, set: number) => boolean,
  sheets: readonly number[],
  from: number,
): Map<number, number[]> {
  let reached = new Map<number, number[]>([[from, []]]);
  for (const type of sheets) {
    const next = new Map<number, number[]>();
    for (const [left, put] of reached) {
      if (!next.has(left)) next.set(left, [...put, 0]);
      for (let set = 1; set <= left; set += 1)
        if (every.within(set, left) && fits(type, set) && !next.has(left - set))
          next.set(left - set, [...put, set]);
    }
    reached = next;
  }
  return reached;
}

/**
 * The fewest sheets, then the least paper, for a few blocks: every choice of sheets, the best
 * first, is held against every pattern of straight cuts. Where no choice holds all, as few
 * blocks as possible are left, of these the smallest. Null where there are too many choices.
 */
export function sheetsExactly(
  every: EveryPattern,
  types: readonly SheetType[],
): PackedSheets | null {
  const known = types.map(() => new Map<number, boolean>());
  const fits = (type: number, set: number) => {
    const before = known[type]!.get(set);
    if (before !== undefined) return before;
    const { width, height } = types[type]!;
    const does = every.fitting(set, width, height) !== null;
    known[type]!.set(set, does);
    return does;
  };
  const blocks = every.blocksIn(every.all);
  const order = choices(types, blocks);
  if (!order) return null;
  const sheetsOf = (choice: readonly number[]) =>
    choice.flatMap((n, type) => Array.from({ length: n }, () => type));
  const fullest = sheetsOf(types.map((t) => Math.min(t.count, blocks)));
  const ranked = [...leftAfter(every, fits, fullest, every.all).keys()]
    .map((left) => ({
      left,
      rank: [every.urgentIn(left), every.blocksIn(left), every.weightOf(left)],
    }))
    .sort((a, b) => comparedRanks(a.rank, b.rank));
  const { left } = ranked[0]!;
  const wanted = every.all - left;
  for (const choice of order) {
    const sheets = sheetsOf(choice);
    const put = leftAfter(every, fits, sheets, wanted).get(0);
    if (!put) continue;
    const take = every.toTake();
    const bins = put.map((set, i): Bin => {
      const { width, height } = types[sheets[i]!]!;
      const pattern = every.fitting(set, width, height)!;
      return { type: sheets[i]!, region: every.onSheet(pattern, width, height, take) };
    });
    return { bins, left: take.flat() };
  }
  return null;
}
