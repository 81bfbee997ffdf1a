/** Bins of a histogram over the 16-bit scale: 64 values each. */
export const TONE_BINS = 1024;
const SHIFT = 6;
/** Within half an 8-bit step of an end of the scale a sample counts as clipped. */
const CLIP = 128;

/** How often each tone occurs: per channel, and at the ends of the scale. Plain data. */
export interface ToneCounts {
  pixels: number;
  /** Per channel, TONE_BINS counts. */
  bins: number[][];
  /** Samples at the lower and the upper end of the scale, per channel. */
  low: number[];
  high: number[];
}

/** Counts the tones of one part of a picture. */
export class ToneCounter {
  private readonly bins: Uint32Array[];
  private readonly low: Float64Array;
  private readonly high: Float64Array;
  private pixels = 0;

  constructor(private readonly channels: 1 | 3) {
    this.bins = Array.from({ length: channels }, () => new Uint32Array(TONE_BINS));
    this.low = new Float64Array(channels);
    this.high = new Float64Array(channels);
  }

  /** Takes pixels `from` to `to - 1` of interleaved 16-bit samples. */
  add(samples: Uint16Array, from: number, to: number): void {
    const { channels } = this;
    for (let c = 0; c < channels; c += 1) {
      const bins = this.bins[c]!;
      let low = 0;
      let high = 0;
      for (let i = from * channels + c; i < to * channels; i += channels) {
        const v = samples[i]!;
        bins[v >> SHIFT]! += 1;
        if (v <= CLIP) low += 1;
        else if (v >= 65535 - CLIP) high += 1;
      }
      this.low[c]! += low;
      this.high[c]! += high;
    }
    this.pixels += to - from;
  }

  counts = (): ToneCounts => ({
    pixels: this.pixels,
    bins: this.bins.map((b) => Array.from(b)),
    low: Array.from(this.low),
    high: Array.from(this.high),
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
