import type { Block, CutLimits } from './search';
import { joined, freeRegion, Region } from './region';

/** Equal blocks, and how many there are. */
interface Kind {
  block: Block;
  members: number[];
}

/** A pattern of a set of blocks: its size, and what it was made from. */
interface Pattern {
  width: number;
  height: number;
  /** A single block, or two patterns side by side (`across`) or one under the other. */
  turned?: boolean;
  kind?: number;
  parts?: readonly [Pattern, Pattern];
  across?: boolean;
}

/** Splits of sets into two that are looked at. */
const MOST_SPLITS = 12_000;

/**
 * Every pattern of straight cuts from edge to edge of every set of a few blocks: for each set
 * the smallest sizes that hold it, none of which is smaller than another both ways. Exact, as
 * each such pattern is one block, or two patterns beside or under each other.
 * Null where there are too many sets.
 */
export class EveryPattern {
  readonly kinds: Kind[];
  /** Sets of blocks as one number: how many of each kind, mixed radix. */
  readonly sets: number;
  readonly all: number;
  private readonly radix: number[] = [];
  private readonly counts: number[][];
  private readonly patterns: Pattern[][];

  static of(
    blocks: readonly Block[],
    limits: CutLimits,
    most: { width: number; height: number },
  ): EveryPattern | null {
    const kinds: Kind[] = [];
    blocks.forEach((block, i) => {
      const same = kinds.find(
        ({ block: b }) =>
          b.mayTurn === block.mayTurn &&
          b.weight === block.weight &&
          ((b.width === block.width && b.height === block.height) ||
            (b.mayTurn && b.width === block.height && b.height === block.width)),
      );
      if (same) same.members.push(i);
      else kinds.push({ block, members: [i] });
    });
    const splits = kinds.reduce(
      (n, { members: { length: c } }) => (n * (c + 1) * (c + 2)) / 2,
      1,
    );
    return splits > MOST_SPLITS ? null : new EveryPattern(blocks, kinds, limits, most);
  }

  private constructor(
    private readonly blocks: readonly Block[],
    kinds: Kind[],
    private readonly limits: CutLimits,
    private readonly most: { width: number; height: number },
  ) {
    this.kinds = kinds;
    let sets = 1;
    for (const { members } of kinds) {
      this.radix.push(sets);
      sets *= members.length + 1;
    }
    this.sets = sets;
    this.all = sets - 1;
    this.counts = Array.from({ length: sets }, (_, set) =>
      kinds.map(
        ({ members }, k) => Math.floor(set / this.radix[k]!) % (members.length + 1),
      ),
    );
    this.patterns = [];
    for (let set = 0; set < sets; set += 1) this.patterns.push(this.of(set));
  }

  /** Whether a set is a part of another. */
  within(part: number, whole: number): boolean {
    const [a, b] = [this.counts[part]!, this.counts[whole]!];
    return a.every((n, k) => n <= b[k]!);
  }

  blocksIn(set: number): number {
    return this.counts[set]!.reduce((n, c) => n + c, 0);
  }

  /** Blocks whose weight is more than their area. */
  urgentIn(set: number): number {
    return this.counts[set]!.reduce((n, c, k) => {
      const { width, height, weight } = this.kinds[k]!.block;
      return n + (c * weight) / (width * height) - c;
    }, 0);
  }

  weightOf(set: number): number {
    return this.counts[set]!.reduce((n, c, k) => n + c * this.kinds[k]!.block.weight, 0);
  }

  private single(kind: number): Pattern[] {
    const { width, height, mayTurn } = this.kinds[kind]!.block;
    const ways: Pattern[] = [{ width, height, kind, turned: false }];
    if (mayTurn && width !== height)
      ways.push({ width: height, height: width, kind, turned: true });
    return ways.filter(
      (w) => w.width <= this.limits.across && w.height <= this.limits.down,
    );
  }

  private of(set: number): Pattern[] {
    const counts = this.counts[set]!;
    const total = this.blocksIn(set);
    if (total === 0) return [];
    if (total === 1) return this.smallest(this.single(counts.findIndex((c) => c === 1)));
    const found: Pattern[] = [];
    for (let part = 1; part <= set - part; part += 1) {
      if (!this.within(part, set)) continue;
      const others = this.patterns[set - part]!;
      for (const a of this.patterns[part]!)
        for (const b of others) {
          const parts = [a, b] as const;
          const side: Pattern = {
            width: a.width + b.width,
            height: Math.max(a.height, b.height),
            parts,
            across: true,
          };
          if (side.height <= this.limits.down) found.push(side);
          const under: Pattern = {
            width: Math.max(a.width, b.width),
            height: a.height + b.height,
            parts,
            across: false,
          };
          if (under.width <= this.limits.across) found.push(under);
        }
    }
    return this.smallest(found);
  }

  private smallest(found: Pattern[]): Pattern[] {
    const kept: Pattern[] = [];
    found.sort((a, b) => a.width - b.width || a.height - b.height);
    let least = Infinity;
    for (const p of found)
      if (p.height < least && p.width <= this.most.width && p.height <= this.most.height) {
        kept.push(p);
        least = p.height;
      }
    return kept;
  }

  /** The pattern of a set that fits into a rectangle, the least high one; null where none does. */
  fitting(set: number, width: number, height: number): Pattern | null {
    let best: Pattern | null = null;
    for (const p of this.patterns[set]!)
      if (p.width <= width && p.height <= height && (!best || p.height < best.height))
        best = p;
    return best;
  }

  /** A pattern as a region of a rectangle; blocks are taken from `left`, kind by kind. */
  region(pattern: Pattern, width: number, height: number, left: number[][]): Region {
    if (pattern.kind !== undefined) {
      const { block } = this.kinds[pattern.kind]!;
      const member = left[pattern.kind]!.pop()!;
      const of = this.blocks[member]!;
      // Members of a kind may be each other's turned.
      const other = of.width !== block.width;
      const piece = new Region(
        pattern.width,
        pattern.height,
        member,
        pattern.turned !== other,
        null,
        false,
      );
      return this.framed(piece, width, height);
    }
    const [a, b] = pattern.parts!;
    const across = pattern.across!;
    const inner = across
      ? [
          this.region(a, a.width, height, left),
          this.region(b, width - a.width, height, left),
        ]
      : [
          this.region(a, width, a.height, left),
          this.region(b, width, height - a.height, left),
        ];
    return joined(width, height, across, inner);
  }

  /** A pattern on a sheet: cut out in its own size first, unless the sheet is parted in columns before. */
  onSheet(pattern: Pattern, width: number, height: number, left: number[][]): Region {
    if (width > this.limits.across) return this.region(pattern, width, height, left);
    const own = this.region(pattern, pattern.width, pattern.height, left);
    return this.framed(own, width, height);
  }

  private framed(piece: Region, width: number, height: number): Region {
    const right = width - piece.width;
    const under = height - piece.height;
    const sideways = width > this.limits.across;
    const column = (w: number) =>
      under > 0 ? joined(w, height, false, [piece, freeRegion(w, under)]) : piece;
    if (sideways || under === 0)
      return right > 0
        ? joined(width, height, true, [column(piece.width), freeRegion(right, height)])
        : column(piece.width);
    const row =
      right > 0
        ? joined(width, piece.height, true, [piece, freeRegion(right, piece.height)])
        : piece;
    return joined(width, height, false, [row, freeRegion(width, under)]);
  }

  /** Blocks by kind, to be taken. */
  toTake(): number[][] {
    return this.kinds.map(({ members }) => members.slice().reverse());
  }
}
