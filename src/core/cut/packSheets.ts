import { freeRegion, piecesIn, room } from './region';
import type { Region } from './region';
import type { Packing, Search } from './search';

/** A kind of sheet as it is packed: what can be printed on, and what it takes to use one. */
export interface SheetType {
  width: number;
  height: number;
  count: number;
  /** Of the whole sheet. */
  area: number;
  leftOver: boolean;
}

export interface Bin {
  type: number;
  region: Region;
}

export interface PackedSheets {
  bins: Bin[];
  left: number[];
}

export interface Effort {
  /** Steps of the search; each takes out a few pieces and puts them back. */
  steps: number;
  /** Sheets from which on no fewer are possible. */
  bound: number;
  /** Sheets that another way of packing gets along with: not reached, it is searched on. */
  rival: number;
}

/** Pieces taken out at once; how loose the search is at its beginning and end. */
const TAKEN = 6;
const LOOSE = 0.05;
const TIGHT = 0.001;
/** How far what is left together counts against what lies nowhere. */
const TOGETHER = 0.5;
/** What leaving a piece out costs where all lie somewhere already. */
const NOTHING_OUT = 100;
const SAID_EVERY = 100;

export interface Said {
  share: number;
  best: PackedSheets | null;
}

const filledArea = (search: Search, region: Region): number => {
  return piecesIn(region).reduce((area, piece) => {
    const { width, height } = search.blocks[piece]!;
    return area + width * height;
  }, 0);
};

/** How good a packing is, part by part: smaller is better. */
export function rank(
  search: Search,
  types: readonly SheetType[],
  p: PackedSheets,
): number[] {
  const fresh = p.bins.filter((b) => !types[b.type]!.leftOver);
  const area = (bins: readonly Bin[]) => bins.reduce((a, b) => a + types[b.type]!.area, 0);
  return [
    p.left.reduce((w, b) => w + search.blocks[b]!.weight, 0),
    fresh.length,
    area(fresh),
    p.bins.length,
    area(p.bins),
    -p.bins.reduce((w, b) => w + b.region.worth, 0),
  ];
}

/** @example comparedRanks([1, 2], [1, 3]) < 0 // true */
export function comparedRanks(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((x, i) => x !== b[i]);
  return at < 0 ? 0 : a[at]! - b[at]!;
}

/**
 * Packs blocks into the fewest sheets, then the least paper: ruin and recreate towards a goal
 * (after Gardeyn and Wauters, 2022). Whenever all lie somewhere, the emptiest sheet is taken
 * away, or exchanged for a smaller one; last, what is left over is brought together.
 */
export class SheetPacker {
  best: PackedSheets | null = null;
  private bestRank: number[] = [];
  private readonly full: number;
  private readonly one: number;

  constructor(
    private readonly search: Search,
    private readonly types: readonly SheetType[],
    /** Sheets with what stays on them: they come first, and stay. */
    private readonly begun: readonly Bin[],
  ) {
    const [width, height] = [
      Math.max(...types.map((t) => t.width)),
      Math.max(...types.map((t) => t.height)),
    ];
    this.full = width * height;
    this.one = room(width, height);
  }

  private free(bins: readonly Bin[], type: number): boolean {
    return bins.filter((b) => b.type === type).length < this.types[type]!.count;
  }

  private cost({ bins, left }: Packing, leftWeight: number): number {
    let cost = 0;
    for (const b of left) cost += this.search.blocks[b]!.weight;
    let worth = 0;
    for (const b of bins) worth += b.worth;
    return (leftWeight * cost) / this.full - (TOGETHER * worth) / this.one;
  }

  private keep(bins: readonly Bin[], left: readonly number[]): boolean {
    const first = this.begun.length;
    const used = bins.filter((b, i) => i < first || b.region.count > 0);
    const packed = { bins: used, left: [...left] };
    const its = rank(this.search, this.types, packed);
    if (this.best !== null && comparedRanks(its, this.bestRank) >= 0) return false;
    this.best = packed;
    this.bestRank = its;
    return true;
  }

  /** All blocks, the largest first, each sheet opened when it is needed; left-overs before sheets. */
  private *first(blocks: readonly number[]): Generator<Said, Bin[], void> {
    const { search, types } = this;
    const bins = this.begun.map((b) => ({ ...b }));
    const left: number[] = [];
    const order = types
      .map((_, i) => i)
      .sort(
        (a, b) =>
          Number(types[b]!.leftOver) - Number(types[a]!.leftOver) ||
          types[b]!.area - types[a]!.area,
      );
    const sorted = [...blocks].sort((a, b) => {
      const [x, y] = [search.blocks[a]!, search.blocks[b]!];
      // What has to lie on one of the first sheets comes before what fills them.
      return (
        Number(y.bins !== undefined) - Number(x.bins !== undefined) || y.weight - x.weight
      );
    });
    for (const block of sorted) {
      const packing = { bins: bins.map((b) => b.region), left };
      let done = search.insert(packing, block);
      if (done) packing.bins.forEach((region, i) => (bins[i]!.region = region));
      for (const type of order) {
        if (done) break;
        if (!this.free(bins, type)) continue;
        const region = freeRegion(types[type]!.width, types[type]!.height);
        const more = { bins: [...bins.map((b) => b.region), region], left };
        done = search.insert(more, block);
        if (!done) continue;
        // A place that was overlooked before may have been found now.
        bins.forEach((bin, i) => (bin.region = more.bins[i]!));
        const opened = more.bins.at(-1)!;
        if (opened.count > 0) bins.push({ type, region: opened });
      }
      if (!done) left.push(block);
      yield { share: 0, best: null };
    }
    this.keep(bins, left);
    return bins;
  }

  /** Searches from a packing on until all lies somewhere, or the steps are spent. */
  private *seek(
    from: Bin[],
    left: readonly number[],
    steps: { from: number; to: number; all: number },
    leftWeight = 1,
    stop = true,
  ): Generator<Said, { bins: Bin[]; left: number[]; step: number }, void> {
    const { search } = this;
    const types = from.map((b) => b.type);
    let now: Packing = { bins: from.map((b) => b.region), left: [...left] };
    let cost = this.cost(now, leftWeight);
    const asBins = (p: Packing) => p.bins.map((region, i) => ({ type: types[i]!, region }));
    let step = steps.from;
    for (; step < steps.to; step += 1) {
      if (now.left.length === 0 && stop) break;
      const heat = LOOSE * (TIGHT / LOOSE) ** Math.min(1, step / steps.all);
      const next = search.step(now, TAKEN);
      const its = this.cost(next, leftWeight);
      if (its < cost - heat * Math.log(search.chance() || TOLERANCE)) {
        [now, cost] = [next, its];
        if (!stop && now.left.length === 0) this.keep(asBins(now), now.left);
      }
      if (step % SAID_EVERY === 0) yield { share: step / steps.all, best: this.best };
    }
    if (now.left.length > 0 && this.best!.left.length > 0) this.keep(asBins(now), now.left);
    return { bins: asBins(now), left: now.left, step };
  }

  private emptiest(bins: readonly Bin[], may: (b: Bin) => boolean): number {
    let [at, least] = [-1, Infinity];
    bins.forEach((bin, i) => {
      if (i < this.begun.length || !may(bin)) return;
      const area = filledArea(this.search, bin.region);
      if (area < least) [at, least] = [i, area];
    });
    return at;
  }

  private without(bins: readonly Bin[], at: number): { bins: Bin[]; left: number[] } {
    return { bins: bins.filter((_, i) => i !== at), left: piecesIn(bins[at]!.region) };
  }

  *pack(blocks: readonly number[], effort: Effort): Generator<Said, PackedSheets, void> {
    const { types } = this;
    let bins = yield* this.first(blocks);
    let left = this.best!.left;
    const fresh = () => this.best!.bins.filter((b) => !types[b.type]!.leftOver).length;
    const { steps, bound, rival } = effort;
    // Fewest sheets.
    let step = 0;
    for (let to = steps; step < to;) {
      const got = yield* this.seek(bins, left, { from: step, to, all: to });
      ({ bins, left, step } = got);
      if (left.length > 0) {
        if (fresh() > rival && to < 3 * steps) to = 3 * steps;
        else break;
        continue;
      }
      this.keep(bins, left);
      if (fresh() <= bound) break;
      const at = this.emptiest(bins, (b) => !types[b.type]!.leftOver);
      if (at < 0) break;
      ({ bins, left } = this.without(bins, at));
    }
    if (this.best!.left.length > 0) return this.best!;
    yield* this.smaller(Math.ceil(steps / 6));
    return yield* this.together(Math.ceil(steps / 6));
  }

  /** From a packing of which no better is possible. */
  *tidied(packed: PackedSheets, steps: number): Generator<Said, PackedSheets, void> {
    this.keep(packed.bins, packed.left);
    return yield* this.together(steps);
  }

  /** Brings what is left over together, in the second, tighter half of a search. */
  private *together(steps: number): Generator<Said, PackedSheets, void> {
    const range = { from: steps, to: 2 * steps, all: 2 * steps };
    const { bins, left } = this.best!;
    if (left.length === 0) yield* this.seek(bins, [], range, NOTHING_OUT, false);
    return this.best!;
  }

  /** Exchanges sheets for smaller ones, as long as that goes. */
  private *smaller(steps: number): Generator<Said, void, void> {
    const { types } = this;
    const order = types.map((_, i) => i).sort((a, b) => types[a]!.area - types[b]!.area);
    const tried = new Set<string>();
    for (;;) {
      const { bins } = this.best!;
      const all = bins.map((b) => b.type).sort();
      const key = (from: number, to: number) => `${all.join()} ${from} ${to}`;
      const may = (bin: Bin, to: number) =>
        !types[bin.type]!.leftOver &&
        types[bin.type]!.area > types[to]!.area &&
        !tried.has(key(bin.type, to));
      const next = order.find(
        (to) =>
          !types[to]!.leftOver &&
          this.free(bins, to) &&
          this.emptiest(bins, (b) => may(b, to)) >= 0,
      );
      if (next === undefined) return;
      const at = this.emptiest(bins, (b) => may(b, next));
      tried.add(key(bins[at]!.type, next));
      const out = this.without(bins, at);
      const { width, height } = types[next]!;
      const begin = [...out.bins, { type: next, region: freeRegion(width, height) }];
      const to = { from: 0, to: steps, all: steps };
      const got = yield* this.seek(begin, out.left, to);
      if (got.left.length === 0) this.keep(got.bins, []);
    }
  }
}

const TOLERANCE = 1e-9;
