import { HUES, TONES, colourDifference, hueOf, toneOf } from '../colour';
import type { Hue, Tone, Vector } from '../colour';

/** CIEDE2000 differences from which a change is counted: just visible, visible, plainly wrong. */
export const BEYOND = [1, 2, 5] as const;
/** Steps of the differences by which shares are told, and the largest that is told apart. */
const STEP = 0.02;
const MOST = 150;

/** What a way of printing costs a part of a picture, CIEDE2000 weighed by its pixels. */
export interface CostPart {
  /** Share of the picture's pixels, 0..1. */
  share: number;
  mean: number;
  p95: number;
}

/** What a way of printing costs a picture. */
export interface ProofCost {
  /** Shares of pixels, 0..1, that change by more than 1, 2 and 5. */
  beyond: [number, number, number];
  mean: number;
  p95: number;
  max: number;
  byTone: Record<Tone, CostPart>;
  byHue: Record<Hue | 'neutral', CostPart>;
  /** The same, told apart by both: of each hue its three tones. */
  byBoth: Record<Hue, Record<Tone, CostPart>>;
}

/** L*, a*, b* of the `i`-th colour of a list. */
export const labAt = (list: ArrayLike<number>, i: number): Vector => [
  list[i * 3]!,
  list[i * 3 + 1]!,
  list[i * 3 + 2]!,
];

/** CIEDE2000 between the colours of two lists of L*a*b*, one by one. */
export function differences(
  one: ArrayLike<number>,
  other: ArrayLike<number>,
): Float32Array<ArrayBuffer> {
  return Float32Array.from({ length: one.length / 3 }, (_, i) =>
    colourDifference(labAt(one, i), labAt(other, i)),
  );
}

/** Sums of differences, weighed. */
class Sums {
  private weight = 0;
  private sum = 0;
  private readonly steps = new Float64Array(Math.ceil(MOST / STEP) + 1);

  add(difference: number, weight: number): void {
    this.weight += weight;
    this.sum += difference * weight;
    this.steps[Math.min(this.steps.length - 1, Math.floor(difference / STEP))]! += weight;
  }

  part(all: number): CostPart {
    if (this.weight === 0) return { share: 0, mean: 0, p95: 0 };
    let left = this.weight * 0.05;
    let at = this.steps.length - 1;
    while (at > 0 && left > this.steps[at]!) left -= this.steps[at--]!;
    return {
      share: this.weight / all,
      mean: this.sum / this.weight,
      p95: (at + 0.5) * STEP,
    };
  }
}

const named = <K extends string, V>(keys: readonly K[], of: (key: K) => V) =>
  Object.fromEntries(keys.map((k) => [k, of(k)])) as Record<K, V>;

/**
 * What a picture loses: differences of its colours (see `differences`), the colours as they
 * were (L*a*b*), and how many pixels each stands for.
 */
export function proofCost(
  found: ArrayLike<number>,
  source: ArrayLike<number>,
  weights: ArrayLike<number>,
): ProofCost {
  const all = new Sums();
  const tones = named(TONES, () => new Sums());
  const hues = named([...HUES, 'neutral'] as const, () => new Sums());
  const both = named(HUES, () => named(TONES, () => new Sums()));
  const beyond: [number, number, number] = [0, 0, 0];
  let [total, max] = [0, 0];
  for (let i = 0; i < weights.length; i += 1) {
    const [difference, weight] = [found[i]!, weights[i]!];
    const [l, a, b] = labAt(source, i);
    const [tone, hue] = [toneOf(l), hueOf(a, b)];
    total += weight;
    max = Math.max(max, difference);
    BEYOND.forEach((limit, k) => {
      if (difference > limit) beyond[k]! += weight;
    });
    all.add(difference, weight);
    tones[tone].add(difference, weight);
    hues[hue ?? 'neutral'].add(difference, weight);
    if (hue) both[hue][tone].add(difference, weight);
  }
  const { mean, p95 } = all.part(total);
  return {
    beyond: beyond.map((v) => (total > 0 ? v / total : 0)) as ProofCost['beyond'],
    mean,
    p95: Math.min(p95, max),
    max,
    byTone: named(TONES, (t) => tones[t].part(total)),
    byHue: named([...HUES, 'neutral'] as const, (h) => hues[h].part(total)),
    byBoth: named(HUES, (h) => named(TONES, (t) => both[h][t].part(total))),
  };
}
