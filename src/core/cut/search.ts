import { chance } from '../image/chance';
import type { Chance } from '../image/chance';
import { eachPlace, filled, freeRegion, replaced, room } from './region';
import type { Region } from './region';

/** A piece as it is searched with: whole units, its gutter with it. */
export interface Block {
  width: number;
  height: number;
  mayTurn: boolean;
  /** It lies turned, and no other way. */
  turned?: boolean;
  /** What leaving it out costs: its area, or more. */
  weight: number;
  /** The bins that it may lie in, from the first to before the last; left out: any. */
  bins?: readonly [number, number];
}

/** Where straight cuts may not go: what the trimmer cannot cut. */
export interface CutLimits {
  /** Widest region that may be cut across, and highest that may be cut down. */
  across: number;
  down: number;
}

export interface Packing {
  bins: Region[];
  /** Blocks that lie in none. */
  left: number[];
}

/** How often a place is overlooked, and how often a whole sheet is emptied, more often one with room. */
const OVERLOOKED = 0.01;
const EMPTIED = 0.3;
const LOOKED_AT = 0.5;

/** Regions that pieces are put into, taken out of, and put back into. */
export class Search {
  private readonly random: Chance;
  private at = -1;
  private path: number[] = [];
  private turned = false;
  private sideways = false;
  private best = 0;
  private readonly walked: number[] = [];

  constructor(
    readonly blocks: readonly Block[],
    readonly limits: CutLimits,
    seed: number,
  ) {
    this.random = chance(seed);
  }

  private look(region: Region, width: number, height: number, turned: boolean): void {
    const { strips } = region;
    if (strips !== null) {
      const { walked } = this;
      for (let i = 0; i < strips.length; i += 1) {
        const strip = strips[i]!;
        if (strip.freeWidth < width || strip.freeHeight < height) continue;
        walked.push(i);
        this.look(strip, width, height, turned);
        walked.pop();
      }
      return;
    }
    if (this.random() < OVERLOOKED) return;
    const right = region.width - width;
    const under = region.height - height;
    const before = region.worth;
    // Parted across first: what is under the piece is as wide as the region.
    if (under === 0 || region.width <= this.limits.across) {
      const worth = room(right, height) + room(region.width, under) - before;
      if (worth > this.best) this.found(worth, turned, false);
    }
    if (right > 0 && under > 0 && region.height <= this.limits.down) {
      const worth = room(width, under) + room(right, region.height) - before;
      if (worth > this.best) this.found(worth, turned, true);
    }
  }

  private found(worth: number, turned: boolean, sideways: boolean): void {
    this.best = worth;
    this.at = this.bin;
    this.turned = turned;
    this.sideways = sideways;
    this.path = this.walked.slice();
  }

  private bin = 0;

  /** Puts a block where it costs the least room; false where it fits nowhere. */
  insert(packing: Packing, block: number): boolean {
    const { width, height, mayTurn, turned, bins } = this.blocks[block]!;
    this.at = -1;
    this.best = -Infinity;
    const to = Math.min(packing.bins.length, bins?.[1] ?? Infinity);
    const upright = !turned && width <= this.limits.across && height <= this.limits.down;
    const lying =
      (turned ?? (mayTurn && width !== height)) &&
      height <= this.limits.across &&
      width <= this.limits.down;
    for (this.bin = bins?.[0] ?? 0; this.bin < to; this.bin += 1) {
      const region = packing.bins[this.bin]!;
      const { freeWidth, freeHeight } = region;
      if (upright && freeWidth >= width && freeHeight >= height)
        this.look(region, width, height, false);
      if (lying && freeWidth >= height && freeHeight >= width)
        this.look(region, height, width, true);
    }
    if (this.at < 0) return false;
    this.put(packing, block);
    return true;
  }

  private put(packing: Packing, block: number): void {
    const { width, height } = this.blocks[block]!;
    const [w, h] = this.turned ? [height, width] : [width, height];
    const whole = packing.bins[this.at]!;
    let free = whole;
    for (const i of this.path) free = free.strips![i]!;
    const by = filled(free, block, w, h, this.turned, this.sideways);
    packing.bins[this.at] = replaced(whole, this.path, by);
  }

  /** Takes out one piece, or all that lies with it in some region around it. */
  ruin(packing: Packing, taken: number[]): void {
    const total = packing.bins.reduce((n, b) => n + b.count, 0);
    if (total === 0) return;
    let k = Math.floor(this.random() * total);
    let at = 0;
    while (k >= packing.bins[at]!.count) k -= packing.bins[at++]!.count;
    const whole = packing.bins[at]!;
    const chain = [whole];
    const path: number[] = [];
    for (let region = whole; region.strips !== null;) {
      let i = 0;
      while (k >= region.strips[i]!.count) k -= region.strips[i++]!.count;
      region = region.strips[i]!;
      path.push(i);
      chain.push(region);
    }
    let up = path.length;
    while (up > 0 && this.random() < 0.35 && !chain[up - 1]!.fixed) up -= 1;
    const out = chain[up]!;
    if (out.fixed) return;
    eachPlace(out, (piece) => taken.push(piece));
    packing.bins[at] = replaced(
      whole,
      path.slice(0, up),
      freeRegion(out.width, out.height),
    );
  }

  /** All of one bin taken out, unless something stays in it. */
  private empty(packing: Packing, at: number, taken: number[]): void {
    const bin = packing.bins[at]!;
    if (bin.fixed) return;
    eachPlace(bin, (piece) => taken.push(piece));
    packing.bins[at] = freeRegion(bin.width, bin.height);
  }

  /** Mixed, then as often as not the largest or the longest first. */
  ordered(blocks: number[]): void {
    for (let i = blocks.length - 1; i > 0; i -= 1) {
      const j = Math.floor(this.random() * (i + 1));
      [blocks[i], blocks[j]] = [blocks[j]!, blocks[i]!];
    }
    const of = this.blocks;
    const by = this.random();
    if (by < 0.45)
      blocks.sort((a, b) => of[b]!.width * of[b]!.height - of[a]!.width * of[a]!.height);
    else if (by < 0.8)
      blocks.sort(
        (a, b) =>
          Math.max(of[b]!.width, of[b]!.height) - Math.max(of[a]!.width, of[a]!.height),
      );
  }

  /** One step: some taken out, all that lies nowhere put back as it can be. */
  step(from: Packing, most: number): Packing {
    const next: Packing = { bins: from.bins.slice(), left: [] };
    const taken: number[] = from.left.slice();
    const target = taken.length + 1 + Math.floor(this.random() * most);
    if (next.bins.length > 0 && this.random() < EMPTIED) {
      let at = Math.floor(this.random() * next.bins.length);
      const other = Math.floor(this.random() * next.bins.length);
      if (this.random() < LOOKED_AT && next.bins[other]!.worth > next.bins[at]!.worth)
        at = other;
      this.empty(next, at, taken);
    }
    for (let n = 0; taken.length < target && n < 2 * most; n += 1) this.ruin(next, taken);
    this.ordered(taken);
    for (const block of taken) if (!this.insert(next, block)) next.left.push(block);
    return next;
  }

  /** Whether a block can lie within a width as it is, and turned. */
  ways(block: number, most: number): [boolean, boolean] {
    const { width, height, mayTurn, turned = false } = this.blocks[block]!;
    const { across, down } = this.limits;
    return [
      !turned && width <= most && width <= across && height <= down,
      (turned || mayTurn) && height <= most && height <= across && width <= down,
    ];
  }

  chance(): number {
    return this.random();
  }
}
