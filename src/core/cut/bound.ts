import type { Block } from './search';

/** Whole rectangles that blocks are put into, and how many of them there are. */
export interface Room {
  width: number;
  height: number;
  count: number;
}

type Dual = (x: number) => number;

/**
 * Functions of 0..full that add up to no more than 1 over whatever lies side by side in it
 * (dual feasible functions, Fekete and Schepers 2004): the share itself; large counts whole and
 * small not at all; whole parts of k + 1.
 */
function duals(full: number, sizes: readonly number[]): Dual[] {
  const own = [...new Set(sizes.filter((s) => s * 2 <= full))].sort((a, b) => a - b);
  const step = Math.max(1, Math.ceil(own.length / 12));
  const small = own.filter((_, i) => i % step === 0);
  const half = full / 2;
  return [
    (x) => x / full,
    (x) => (x > half ? 1 : x === half ? 0.5 : 0),
    ...small.map(
      (e): Dual =>
        (x) =>
          x > full - e ? 1 : x < e ? 0 : x / full,
    ),
    ...[1, 2, 3, 4].map(
      (k): Dual =>
        (x) =>
          ((k + 1) * x) % full === 0 ? x / full : Math.floor(((k + 1) * x) / full) / k,
    ),
  ];
}

const TOLERANCE = 1e-9;

/**
 * The proved least number of rectangles that hold all blocks: by area, the largest first, and
 * by products of dual functions over both sides in the rectangle that encloses all of them.
 * @example leastRooms([{ width: 60, height: 60, mayTurn: true, weight: 3600 }, { width: 60, height: 60, mayTurn: true, weight: 3600 }], [{ width: 100, height: 100, count: 9 }]) // 2
 */
export function leastRooms(blocks: readonly Block[], rooms: readonly Room[]): number {
  if (blocks.length === 0) return 0;
  const area = blocks.reduce((sum, b) => sum + b.width * b.height, 0);
  let [held, byArea] = [0, 0];
  for (const r of [...rooms].sort((a, b) => b.width * b.height - a.width * a.height)) {
    const one = r.width * r.height;
    const need = Math.min(r.count, Math.ceil((area - held) / one - TOLERANCE));
    if (need <= 0) break;
    byArea += need;
    held += need * one;
  }
  const width = Math.max(...rooms.map((r) => r.width));
  const height = Math.max(...rooms.map((r) => r.height));
  const sides = blocks.flatMap((b) => [b.width, b.height]);
  const downs = duals(height, sides);
  let most = 0;
  for (const u of duals(width, sides))
    for (const v of downs) {
      let sum = 0;
      for (const b of blocks) {
        const upright = u(b.width) * v(b.height);
        sum += b.mayTurn ? Math.min(upright, u(b.height) * v(b.width)) : upright;
      }
      most = Math.max(most, sum);
    }
  return Math.max(1, byArea, Math.ceil(most - TOLERANCE));
}

/**
 * The proved least length of a strip of a width that holds all blocks.
 * @example leastLength([{ width: 60, height: 20, mayTurn: false, weight: 1200 }, { width: 60, height: 30, mayTurn: false, weight: 1800 }], 100) // 50
 */
export function leastLength(blocks: readonly Block[], width: number): number {
  const ways = blocks.map((b): [number, number][] => [
    ...(b.width <= width ? [[b.width, b.height] as [number, number]] : []),
    ...(b.mayTurn && b.height <= width ? [[b.height, b.width] as [number, number]] : []),
  ]);
  const least = (of: (w: number, h: number) => number) =>
    ways.map((all) => (all.length === 0 ? 0 : Math.min(...all.map(([w, h]) => of(w, h)))));
  const sides = blocks.flatMap((b) => [b.width, b.height]);
  const sums = duals(width, sides).map((u) =>
    least((w, h) => u(w) * h).reduce((sum, v) => sum + v, 0),
  );
  return Math.max(0, ...least((_, h) => h), Math.ceil(Math.max(...sums) - 0.5));
}
