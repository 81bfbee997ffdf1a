import { CELL, findCandidates } from './candidates';
import { halved, roomFor } from './grey';
import type { Grey } from './grey';
import { Examiner, isMeasured } from './measure';
import type { Block, Clutter, Measured } from './measure';
import { surroundOf } from './surround';

const { abs, ceil, floor, hypot, max, round } = Math;

/** Pixels around the part of a block that counts, so that what lies on its edge is seen whole. */
export const HALO = 64;
/** Levels that are searched: full size, half, quarter. */
const LEVELS = 3;
/** What stands out by less than this many times its ground's spread is clutter, no speck. */
const LEAST_SIGNAL = 1.5;

/** What was seen in one block; places in pixels of the whole picture. */
export interface Sweep {
  things: Measured[];
  /** x, y and contrast of everything else that stands out, one after the other. */
  clutter: Float32Array;
  /** Median response of each cell of the part that counts, row by row. */
  texture: Float32Array;
  /** Cells with too much in them. */
  crowded: Uint8Array;
  /** Cells across and down. */
  across: number;
  down: number;
}

/** Things found again at another level are the same. */
class Seen {
  private readonly places = new Map<number, Measured[]>();
  readonly all: Measured[] = [];

  private key = (x: number, y: number) => floor(x / 16) * 65536 + floor(y / 16);

  add(thing: Measured): void {
    const reach = max(3, thing.diameter / 2);
    for (let dy = -16; dy <= 16; dy += 16)
      for (let dx = -16; dx <= 16; dx += 16)
        for (const other of this.places.get(this.key(thing.x + dx, thing.y + dy)) ?? [])
          if (hypot(other.x - thing.x, other.y - thing.y) <= reach) return;
    const key = this.key(thing.x, thing.y);
    const here = this.places.get(key);
    if (here) here.push(thing);
    else this.places.set(key, [thing]);
    this.all.push(thing);
  }
}

/** Looks for specks in one block after the other. Its pictures are laid out once and used again. */
export class Sweeper {
  private readonly examiner = new Examiner();
  private readonly rooms: Uint8Array[] = [];

  private room(k: number, { width, height }: Grey): Uint8Array {
    return (this.rooms[k] = roomFor(this.rooms[k], width * height));
  }

  /**
   * `core` is the part that counts, in the block's own pixels, its corner on whole cells;
   * `origin` is where the block lies in the picture.
   */
  sweep(
    block: Block,
    core: { left: number; top: number; right: number; bottom: number },
    origin: { x: number; y: number },
  ): Sweep {
    const across = ceil((core.right - core.left) / CELL);
    const down = ceil((core.bottom - core.top) / CELL);
    const texture = new Float32Array(across * down);
    const crowded = new Uint8Array(across * down);
    const { examiner } = this;
    examiner.look(block);
    const seen = new Seen();
    const clutter: number[] = [];
    const counts = ({ x, y }: { x: number; y: number }) =>
      x >= core.left && x < core.right && y >= core.top && y < core.bottom;
    let level = block.light;
    for (let l = 0, scale = 1; l < LEVELS; l += 1, scale *= 2) {
      const half = halved(level, this.room(2 * l, level));
      const surround = surroundOf(half, this.room(2 * l + 1, half));
      const found = findCandidates({ level, half, surround });
      level = half;
      for (let row = 0; row < down; row += 1)
        for (let column = 0; column < across; column += 1) {
          const x = floor((core.left / CELL + column) / scale);
          const y = floor((core.top / CELL + row) / scale);
          if (x >= found.across || y >= found.down) continue;
          const from = y * found.across + x;
          if (l === 0) texture[row * across + column] = found.texture[from]!;
          if (found.crowded[from]) crowded[row * across + column] = 1;
        }
      for (const c of found.candidates) {
        const place = { x: (c.x + 0.5) * scale - 0.5, y: (c.y + 0.5) * scale - 0.5 };
        const peak = { x: round(place.x), y: round(place.y) };
        if (!counts(peak)) continue;
        const thing = examiner.measure(peak, c.response < 0 ? -1 : 1, scale);
        if (!thing) continue;
        if (isMeasured(thing) && abs(thing.contrast) >= LEAST_SIGNAL * thing.ground)
          seen.add(thing);
        else pushClutter(clutter, thing, origin);
      }
    }
    const things = seen.all.map((t) => ({ ...t, x: t.x + origin.x, y: t.y + origin.y }));
    return { things, clutter: Float32Array.from(clutter), texture, crowded, across, down };
  }
}

function pushClutter(
  list: number[],
  { x, y, contrast }: Clutter,
  origin: { x: number; y: number },
): void {
  list.push(x + origin.x, y + origin.y, contrast);
}
