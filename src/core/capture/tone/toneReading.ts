import { TONE_BINS } from './toneCounts';
import type { ToneCounts } from './toneCounts';

export interface ToneReading {
  /** Per channel, the counts, encoded light, darkest first. */
  bins: number[][];
  /** Share of samples at the ends of the scale, per channel, 0..1. */
  clipped: { low: number[]; high: number[] };
  /** Darkest and lightest tone in use, of the encoded scale, per channel, 0..1. */
  black: number[];
  white: number[];
}

/** Of the samples, this share may be darker than the black point, or lighter than the white point. */
const TAIL = 0.001;

/** The tone below which a share of the samples lies, 0..1 of the scale, to a part of a bin. */
export function toneAt(bins: readonly number[], share: number): number {
  const all = bins.reduce((a, b) => a + b, 0);
  let left = share * all;
  for (let b = 0; b < bins.length; b += 1) {
    const count = bins[b]!;
    if (left <= count && count > 0) return (b + left / count) / bins.length;
    left -= count;
  }
  return 1;
}

/** Clipping and range per channel. */
export function readTone(counts: ToneCounts): ToneReading {
  const pixels = Math.max(1, counts.pixels);
  return {
    bins: counts.bins,
    clipped: {
      low: counts.low.map((n) => n / pixels),
      high: counts.high.map((n) => n / pixels),
    },
    black: counts.bins.map((b) => toneAt(b, TAIL)),
    white: counts.bins.map((b) => toneAt(b, 1 - TAIL)),
  };
}

/**
 * The same counts over linear light: each encoded bin goes where the profile's curve puts it.
 * `curve` is the linear light, 0..1, at TONE_BINS even steps of the encoded scale.
 */
export function linearBins(
  bins: readonly number[],
  curve: ArrayLike<number>,
  count: number,
): number[] {
  const out = new Array<number>(count).fill(0);
  const at = (b: number) => curve[Math.max(0, Math.min(TONE_BINS - 1, b))]!;
  for (let b = 0; b < bins.length; b += 1) {
    // A bin is spread over the light between its own ends.
    const from = b === 0 ? 0 : (at(b - 1) + at(b)) / 2;
    const to = b === bins.length - 1 ? 1 : (at(b) + at(b + 1)) / 2;
    const wide = Math.max(1e-9, to - from);
    const first = Math.min(count - 1, Math.floor(from * count));
    const last = Math.min(count - 1, Math.floor(to * count));
    for (let o = first; o <= last; o += 1) {
      const part = Math.min(to, (o + 1) / count) - Math.max(from, o / count);
      out[o]! += bins[b]! * (first === last ? 1 : Math.max(0, part) / wide);
    }
  }
  return out;
}

/** Fewer bins for a drawing: neighbours together. */
export const coarser = (bins: readonly number[], count: number): number[] => {
  const out = new Array<number>(count).fill(0);
  bins.forEach((n, b) => (out[Math.floor((b * count) / bins.length)]! += n));
  return out;
};
