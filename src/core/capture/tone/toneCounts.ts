/** Bins of a histogram over the 16-bit scale: 64 values each. */
export const TONE_BINS = 1024;
const SHIFT = 6;
/** Bins at each end of the scale that count as clipped: within half an 8-bit step of it. */
const CLIPPED = 128 >> SHIFT;

/** How often each tone occurs: per channel, and at the ends of the scale. Plain data. */
export interface ToneCounts {
  pixels: number;
  /** Per channel, TONE_BINS counts. */
  bins: number[][];
  /** Samples at the lower and the upper end of the scale, per channel. */
  low: number[];
  high: number[];
}

const total = (counts: Uint32Array): number => counts.reduce((a, b) => a + b, 0);

/** Counts the tones of one part of a picture. */
export class ToneCounter {
  private readonly bins: Uint32Array[];
  private pixels = 0;

  constructor(private readonly channels: 1 | 3) {
    this.bins = Array.from({ length: channels }, () => new Uint32Array(TONE_BINS));
  }

  /** Takes pixels `from` to `to - 1` of interleaved 16-bit samples. */
  add(samples: Uint16Array, from: number, to: number): void {
    const [first, second, third] = this.bins as [Uint32Array, Uint32Array, Uint32Array];
    this.pixels += to - from;
    if (this.channels === 1)
      for (let i = from; i < to; i += 1) first[samples[i]! >> SHIFT]! += 1;
    else
      for (let i = 3 * from; i < 3 * to; i += 3) {
        first[samples[i]! >> SHIFT]! += 1;
        second[samples[i + 1]! >> SHIFT]! += 1;
        third[samples[i + 2]! >> SHIFT]! += 1;
      }
  }

  counts = (): ToneCounts => ({
    pixels: this.pixels,
    bins: this.bins.map((b) => Array.from(b)),
    low: this.bins.map((b) => total(b.subarray(0, CLIPPED))),
    high: this.bins.map((b) => total(b.subarray(TONE_BINS - CLIPPED))),
  });
}

const sum = (a: readonly number[], b: readonly number[]): number[] =>
  a.map((v, i) => v + (b[i] ?? 0));

/** Counts of two parts of one picture together. */
export const joinTones = (a: ToneCounts, b: ToneCounts): ToneCounts => ({
  pixels: a.pixels + b.pixels,
  bins: a.bins.map((bins, c) => sum(bins, b.bins[c] ?? [])),
  low: sum(a.low, b.low),
  high: sum(a.high, b.high),
});
