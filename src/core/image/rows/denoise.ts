import { sumsAcross } from './rowMath';
import type { RowStep, Shape } from './rowStep';
import { windowed } from './windowed';

export interface Denoising {
  /** Strength in per cent; 0 leaves it out. */
  noise: number;
  /** Standard deviation of the grain that is to go, of 255. */
  grain: number;
}

/** Pixels on each side of the square whose mean and variance are taken. */
const REACH = 2;
const COUNT = (2 * REACH + 1) ** 2;

/**
 * The local Wiener filter (Lee 1980): in a square of 5 x 5 pixels, what varies no more than
 * the grain is brought to the mean, and what varies more is let be. Each channel by itself.
 */
export function denoise(shape: Shape, { noise, grain }: Denoising): RowStep {
  const share = noise / 100;
  const variance = (grain * 257) ** 2;
  const { channels } = shape;
  return windowed(shape, REACH, {
    room: (samples) => ({
      samples: new Float32Array(samples),
      sums: new Float64Array(samples),
      squares: new Float64Array(samples),
    }),
    keep(row, held) {
      held.samples.set(row);
      sumsAcross(row, channels, REACH, held.sums, held.squares);
    },
    make(around, out) {
      const { samples } = around[REACH]!;
      for (let i = 0; i < out.length; i += 1) {
        let sum = 0;
        let square = 0;
        for (const held of around) {
          sum += held.sums[i]!;
          square += held.squares[i]!;
        }
        const mean = sum / COUNT;
        const found = Math.max(0, square / COUNT - mean * mean);
        const kept = found > variance ? (found - variance) / found : 0;
        const v = samples[i]!;
        out[i] = v + share * (mean + kept * (v - mean) - v);
      }
    },
  });
}
