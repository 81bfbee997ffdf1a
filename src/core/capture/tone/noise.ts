const { PI, abs, floor, log2, max, min, round, sqrt } = Math;
/** Bands of tone, of equal width on the encoded scale, for which noise is told apart. */
export const NOISE_BANDS = 8;
/** Side of the squares in which it is measured, and the distance between them, pixels. */
export const NOISE_SQUARE = 8;
export const NOISE_STEP = 32;
/** Histogram of noise: 24 bins an octave from 2^-6 of an 8-bit step on. */
const PER_OCTAVE = 24;
const LOWEST = -6;
const BINS = PER_OCTAVE * 14;
/** Of the squares, the smoothest tenth is taken for bare noise. */
const SMOOTHEST = 0.1;
/** Mean of estimates / their tenth percentile, for squares of pure Gaussian noise. */
const OF_TENTH = 1.17;
const LEAST_SQUARES = 20;

/** How often each noise was met, by band of tone. Plain data. */
export type NoiseCounts = number[][];

/** Counts to begin with: nothing in any band. */
export const noNoise = (): NoiseCounts =>
  Array.from({ length: NOISE_BANDS }, () => new Array<number>(BINS).fill(0));

/**
 * Noise of squares of a block: standard deviation = sqrt(pi / 2) / 6 x mean of |light * N|
 * with the 3 x 3 mask N = (1 -2 1; -2 4 -2; 1 -2 1), which is blind to slopes (after
 * Immerkaer, 1996). Samples are 16 bit, interleaved; squares lie every NOISE_STEP pixels
 * across and `step` times as far apart down.
 */
export function countNoise(
  counts: NoiseCounts,
  samples: Uint16Array,
  channels: 1 | 3,
  box: {
    left: number;
    top: number;
    right: number;
    bottom: number;
    stride: number;
    step: number;
  },
): void {
  const side = NOISE_SQUARE + 2;
  const light = new Float64Array(side * side);
  for (let y = box.top; y + side <= box.bottom; y += NOISE_STEP * box.step)
    for (let x = box.left; x + side <= box.right; x += NOISE_STEP) {
      let mean = 0;
      let clipped = false;
      for (let j = 0, o = 0; j < side; j += 1)
        for (let i = 0; i < side; i += 1, o += 1) {
          const at = ((y + j) * box.stride + x + i) * channels;
          const v =
            channels === 1
              ? samples[at]!
              : 0.299 * samples[at]! + 0.587 * samples[at + 1]! + 0.114 * samples[at + 2]!;
          light[o] = v;
          mean += v;
          if (v < 256 || v > 65279) clipped = true;
        }
      if (clipped) continue;
      let sum = 0;
      for (let j = 1; j < side - 1; j += 1)
        for (let i = 1; i < side - 1; i += 1) {
          const o = j * side + i;
          sum += abs(
            4 * light[o]! -
              2 * (light[o - 1]! + light[o + 1]! + light[o - side]! + light[o + side]!) +
              light[o - side - 1]! +
              light[o - side + 1]! +
              light[o + side - 1]! +
              light[o + side + 1]!,
          );
        }
      const sd = (sqrt(PI / 2) / 6) * (sum / NOISE_SQUARE ** 2 / 257);
      const band = min(NOISE_BANDS - 1, floor((mean / side ** 2 / 65536) * NOISE_BANDS));
      const bin = round((log2(max(sd, 1e-9)) - LOWEST) * PER_OCTAVE);
      counts[band]![max(0, min(BINS - 1, bin))]! += 1;
    }
}

/** Counts of two parts of one picture, together. */
export const joinNoise = (a: NoiseCounts, b: NoiseCounts): NoiseCounts =>
  a.map((band, i) => band.map((n, k) => n + (b[i]?.[k] ?? 0)));

/** Standard deviation of the noise in one set of squares, of 255; null when too few were met. */
function noiseOf(bins: readonly number[]): number | null {
  const all = bins.reduce((x, y) => x + y, 0);
  if (all < LEAST_SQUARES) return null;
  let left = all * SMOOTHEST;
  for (let b = 0; b < BINS; b += 1) {
    left -= bins[b]!;
    if (left <= 0) return b === 0 ? 0 : OF_TENTH * 2 ** (LOWEST + b / PER_OCTAVE);
  }
  return null;
}

export interface NoiseReading {
  /** Standard deviation, of 255, by band of tone from dark to light; null: hardly any such tone. */
  bands: (number | null)[];
  /** Over all tones. */
  overall: number | null;
}

/** Noise by tone: the smoothest tenth of the squares of each band tells it. */
export const readNoise = (counts: NoiseCounts): NoiseReading => ({
  bands: counts.map(noiseOf),
  overall: noiseOf(counts.reduce((a, b) => a.map((n, i) => n + b[i]!))),
});
