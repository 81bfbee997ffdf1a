import { KERNELS } from './kernels';
import type { KernelId } from './kernels';

/** Weights of one axis: output i is the sum over k of source[first[i] + k] x weights[i x taps + k]. */
export interface AxisWeights {
  taps: number;
  first: Int32Array;
  weights: Float32Array;
}

/** Part of a source's axis (may be fractional) that is resampled to so many pixels. */
export interface AxisPlan {
  kernel: KernelId;
  /** Pixels of the whole source. */
  source: number;
  from: number;
  span: number;
  out: number;
}

/**
 * Weights for the output pixels `low` to `high - 1` of an axis (all of them, unless told
 * otherwise). Reducing widens the kernel, so that nothing aliases; beyond the edge the edge
 * pixel counts; weights add up to 1. Any part has the same weights as the whole.
 */
export function axisWeights(
  { kernel, source, from, span, out }: AxisPlan,
  low = 0,
  high = out,
): AxisWeights {
  const { reach: lobes, weight } = KERNELS[kernel];
  const step = span / out;
  const stretch = Math.max(1, step);
  const reach = lobes * stretch;
  // Every kernel is 0 at its reach: what lies there is left out.
  const taps = Math.min(source, Math.ceil(2 * reach));
  const first = new Int32Array(high - low);
  const weights = new Float32Array((high - low) * taps);
  for (let i = 0; i < first.length; i += 1) {
    const centre = from + (low + i + 0.5) * step - 0.5;
    const lowest = Math.floor(centre - reach) + 1;
    const start = Math.max(0, Math.min(source - taps, lowest));
    first[i] = start;
    let total = 0;
    for (let j = lowest; j < centre + reach; j += 1) {
      const w = weight((j - centre) / stretch);
      const at = Math.max(0, Math.min(source - 1, j)) - start;
      if (at < 0 || at >= taps) continue;
      const slot = i * taps + at;
      weights[slot] = (weights[slot] ?? 0) + w;
      total += w;
    }
    for (let k = 0; k < taps; k += 1) {
      const slot = i * taps + k;
      weights[slot] = (weights[slot] ?? 0) / total;
    }
  }
  return { taps, first, weights };
}
