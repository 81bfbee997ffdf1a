import { gaussian } from '../kernels';
import type { Shares } from './basis';
import { addDifference, lightOf } from './rowMath';
import type { RowStep, Shape } from './rowStep';
import { blurAcross, weighedSum } from './simd';
import { windowed } from './windowed';

export interface Sharpening {
  /** Strength in per cent; 0 leaves it out. */
  amount: number;
  /** Gaussian sigma in pixels. */
  radius: number;
  /** Differences below this (of 255) are left alone. */
  threshold: number;
}

/**
 * Unsharp masking: sample + amount x (light - blurred light), where the difference exceeds
 * the threshold. The same difference goes to every channel, so that no colour fringes arise.
 * `weights`: shares of the channels in the light. Beyond an edge the pixels at the edge repeat.
 */
export function sharpen(
  shape: Shape,
  { amount, radius, threshold }: Sharpening,
  weights: Shares,
): RowStep {
  const kernel = gaussian(radius);
  const reach = (kernel.length - 1) / 2;
  const floor = threshold * 257;
  const share = amount / 100;
  const { channels } = shape;
  return windowed(shape, reach, {
    room: (samples) => ({
      samples: new Float32Array(samples),
      light: new Float32Array(samples / channels),
      blurred: new Float32Array(samples / channels),
      blur: new Float32Array(samples / channels),
    }),
    keep(row, held) {
      held.samples.set(row);
      lightOf(row, channels, weights, held.light);
      blurAcross(held.light, kernel, held.blurred);
    },
    make(around, out) {
      const { samples, light, blur } = around[reach]!;
      const rows = around.map((held) => held.blurred);
      weighedSum(rows, kernel, 0, blur);
      out.set(samples);
      addDifference(out, light, blur, channels, share, floor);
    },
  });
}
