import type { Measured } from './measure';
import type { Company } from './score';

const { abs, floor, hypot, max } = Math;

/** How far company is looked for, and how far a population reaches, pixels. */
const NEAR = 100;
const FAR = 250;

/** Places of the plane in squares, so that neighbours are found without a look at all of them. */
export class Neighbours<T extends { x: number; y: number }> {
  private readonly squares = new Map<number, T[]>();

  constructor(
    all: Iterable<T>,
    private readonly side: number,
  ) {
    for (const one of all) {
      const key = this.key(floor(one.x / side), floor(one.y / side));
      const square = this.squares.get(key);
      if (square) square.push(one);
      else this.squares.set(key, [one]);
    }
  }

  private key = (column: number, row: number) => row * 1048576 + column;

  /** Calls for all within so far (at most one square's side) of a place. */
  within({ x, y }: { x: number; y: number }, reach: number, call: (one: T) => void): void {
    const column = floor(x / this.side);
    const row = floor(y / this.side);
    for (let j = row - 1; j <= row + 1; j += 1)
      for (let i = column - 1; i <= column + 1; i += 1)
        for (const one of this.squares.get(this.key(i, j)) ?? [])
          if ((one.x - x) ** 2 + (one.y - y) ** 2 <= reach * reach) call(one);
  }
}

const ratio = (a: number, b: number) => max(a / b, b / a);

/** Company of every thing, in the same order. `textureAt`: of the cell at a place. */
export function companyOf(
  things: readonly Measured[],
  clutter: Float32Array,
  textureAt: (x: number, y: number) => number,
): Company[] {
  const own = new Neighbours(things, FAR);
  const company = new Map(
    things.map((thing) => [
      thing,
      { clutter: 0, similar: 0, alike: 0, texture: textureAt(thing.x, thing.y) },
    ]),
  );
  // Clutter is by far the larger crowd: it is gone through once, and looks for things.
  for (let i = 0; i + 2 < clutter.length; i += 3) {
    const strength = abs(clutter[i + 2]!);
    own.within({ x: clutter[i]!, y: clutter[i + 1]! }, NEAR, (thing) => {
      if (strength > 0.35 * abs(thing.contrast)) company.get(thing)!.clutter += 1;
    });
  }
  return things.map((thing) => {
    const around = company.get(thing)!;
    const strength = abs(thing.contrast);
    own.within(thing, FAR, (o) => {
      if (o === thing) return;
      const contrast = ratio(abs(o.contrast), strength);
      const size = ratio(o.diameter, thing.diameter);
      const far = hypot(o.x - thing.x, o.y - thing.y);
      if (far <= NEAR && contrast < 2 && size < 1.6) around.similar += 1;
      const tone = max(...thing.tone.map((t, c) => abs(t - o.tone[c]!)));
      const sameWay = o.contrast > 0 === thing.contrast > 0;
      const near = contrast < 1.4 || abs(abs(o.contrast) - strength) < 14;
      if (sameWay && near && size < 1.45 && tone < 18) around.alike += 1;
    });
    return around;
  });
}
