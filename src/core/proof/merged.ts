import { colourDifference } from '../colour';
import { labAt } from './cost';
import type { Gathered } from './gather';

/** Colours merge when they were farther apart than `apart` and come to lie closer than `close`, CIEDE2000. */
export const MERGING = { apart: 2, close: 1 } as const;

/** Colours among which pairs are looked for, at most, where they are means of many. */
const MOST_MEANS = 2000;

/**
 * The colours among which pairs are looked for, by their places: all of them where each stands for
 * itself, else those of the most pixels.
 */
export const mergingList = ({
  weights,
  exact,
}: Pick<Gathered, 'weights' | 'exact'>): number[] => {
  const places = Array.from({ length: weights.length }, (_, i) => i);
  if (exact || places.length <= MOST_MEANS) return places;
  return places.sort((a, b) => weights[b]! - weights[a]! || a - b).slice(0, MOST_MEANS);
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
/**
 * Nor can two colours be closer than 1 that lie farther apart on the a*b* plane than this: chroma
 * weighs at most 1 / (1 + 0.045 C'), hue at most 1 / (1 + 0.029 C'), C' at most 1.5 C*; and in the
 * blues, which lie below the a* axis, the turn takes at most 0.866 of their product away.
 */
const reachOf = (chroma: number, b: number): number =>
  b > 3 ? 1.02 + 0.069 * chroma : 3 + 0.19 * chroma;
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
  const sorted = new Float64Array(colours * 4);
  order.forEach((at, i) => {
    const [l, a, b] = labAt(proof, at);
    sorted.set([l, a, b, reachOf(Math.hypot(a, b), b)], i * 4);
  });
  for (let i = 0, p = 0; i < colours; i += 1, p += 4) {
    const top = sorted[p]! + MOST_LIGHTNESS;
    for (let k = i + 1, q = p + 4; k < colours && sorted[q]! <= top; k += 1, q += 4) {
      const da = sorted[q + 1]! - sorted[p + 1]!;
      const db = sorted[q + 2]! - sorted[p + 2]!;
      const bound = Math.max(sorted[p + 3]!, sorted[q + 3]!);
      if (da * da + db * db > bound * bound) continue;
      const [one, other] = [order[i]!, order[k]!];
      const after = colourDifference(labAt(proof, one), labAt(proof, other));
      if (after >= MERGING.close) continue;
      const before = colourDifference(labAt(source, one), labAt(source, other));
      if (before <= MERGING.apart) continue;
      pairs += 1;
      merges[one] = 1;
      merges[other] = 1;
      keep({ one: Math.min(one, other), other: Math.max(one, other), before, after });
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
