import { colourDifference } from '../colour';
import { labAt } from './cost';

/** Colours merge when they were farther apart than `apart` and come to lie closer than `close`, CIEDE2000. */
export const MERGING = { apart: 2, close: 1 } as const;

/** Colours among which pairs are looked for, at most: more would take minutes. */
const MOST_COLOURS = 4096;

/**
 * The colours among which pairs are looked for: all of them, or those of the most pixels.
 * `weights`: pixels of each colour; answers their places.
 */
export const mergingList = (weights: ArrayLike<number>): number[] => {
  const places = Array.from({ length: weights.length }, (_, i) => i);
  if (places.length <= MOST_COLOURS) return places;
  return places.sort((a, b) => weights[b]! - weights[a]! || a - b).slice(0, MOST_COLOURS);
};

export interface MergedPair {
  /** Places of both in the list of colours. */
  one: number;
  other: number;
  /** CIEDE2000 before and after. */
  before: number;
  after: number;
}

export interface Merged {
  pairs: number;
  /** For each colour, whether it merges with any other. */
  merges: Uint8Array;
  /** Examples, those first that were farthest apart; no two of colours that are alike. */
  examples: MergedPair[];
}

/**
 * The lightness weight of CIEDE2000 is 1.75 at most: colours whose L* differ by more than that
 * are farther apart than 1, whatever their hue.
 */
const MOST_LIGHTNESS = 1.75 * MERGING.close;
const EXAMPLES = 6;
/** Pairs among which examples are looked for. */
const KEPT = 200;
/** Two examples whose first colours are closer than this show the same. */
const ALIKE = 8;

/**
 * Every pair of colours that could be told apart in the source and cannot in the proof. Lists
 * of L*a*b*, one colour after the other. Time grows with the colours that lie at one lightness.
 */
export function mergedPairs(source: ArrayLike<number>, proof: ArrayLike<number>): Merged {
  const colours = source.length / 3;
  const order = Array.from({ length: colours }, (_, i) => i).sort(
    (i, k) => proof[i * 3]! - proof[k * 3]! || i - k,
  );
  const merges = new Uint8Array(colours);
  let pairs = 0;
  let best: MergedPair[] = [];
  let least: number = MERGING.apart;
  const keep = (pair: MergedPair) => {
    if (pair.before <= least) return;
    best.push(pair);
    if (best.length < 2 * KEPT) return;
    best = best.sort((x, y) => y.before - x.before).slice(0, KEPT);
    least = best.at(-1)!.before;
  };
  for (let i = 0; i < colours; i += 1) {
    const a = order[i]!;
    const pa = labAt(proof, a);
    for (let k = i + 1; k < colours; k += 1) {
      const b = order[k]!;
      if (proof[b * 3]! - pa[0] > MOST_LIGHTNESS) break;
      const pb = labAt(proof, b);
      // A cheap bound first: chroma counts at most 1 / (1 + 0.045 C) of itself, and so on.
      const chroma = Math.max(Math.hypot(pa[1], pa[2]), Math.hypot(pb[1], pb[2]));
      if (Math.hypot(pb[1] - pa[1], pb[2] - pa[2]) > 3 + 0.16 * chroma) continue;
      const after = colourDifference(pa, pb);
      if (after >= MERGING.close) continue;
      const before = colourDifference(labAt(source, a), labAt(source, b));
      if (before <= MERGING.apart) continue;
      pairs += 1;
      merges[a] = 1;
      merges[b] = 1;
      keep({ one: Math.min(a, b), other: Math.max(a, b), before, after });
    }
  }
  const examples: MergedPair[] = [];
  for (const pair of best.sort((x, y) => y.before - x.before)) {
    if (examples.length >= EXAMPLES) break;
    const near = (at: number, e: MergedPair) =>
      [e.one, e.other].some(
        (o) => colourDifference(labAt(source, at), labAt(source, o)) < ALIKE,
      );
    if (!examples.some((e) => near(pair.one, e) && near(pair.other, e)))
      examples.push(pair);
  }
  return { pairs, merges, examples };
}
