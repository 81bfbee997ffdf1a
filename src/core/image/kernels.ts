/** Lanczos window of three lobes: sinc(x) sinc(x / 3) within |x| < 3. */
export function lanczos3(x: number): number {
  if (x === 0) return 1;
  if (Math.abs(x) >= 3) return 0;
  const a = Math.PI * x;
  return (3 * Math.sin(a) * Math.sin(a / 3)) / (a * a);
}

/** Normalised Gaussian weights from -r to r, r = ceil(3 sigma). */
export function gaussian(sigma: number): Float32Array {
  const reach = Math.max(1, Math.ceil(3 * sigma));
  const weights = new Float32Array(2 * reach + 1);
  let total = 0;
  for (let i = -reach; i <= reach; i += 1) {
    const w = Math.exp(-(i * i) / (2 * sigma * sigma));
    weights[i + reach] = w;
    total += w;
  }
  return weights.map((w) => w / total);
}

/** Weights of one axis: output i is the sum over k of source[first[i] + k] x weights[i x taps + k]. */
export interface AxisWeights {
  taps: number;
  first: Int32Array;
  weights: Float32Array;
}

/**
 * Lanczos weights for resampling `sourceLength` pixels, of which the part from `from` (may be
 * fractional) `span` long is wanted, to `outLength`. Reducing widens the kernel, so that
 * nothing aliases; beyond the edge the edge pixel counts.
 */
export function lanczosAxis(
  sourceLength: number,
  from: number,
  span: number,
  outLength: number,
): AxisWeights {
  const step = span / outLength;
  const stretch = Math.max(1, step);
  const reach = 3 * stretch;
  const taps = Math.min(sourceLength, Math.ceil(2 * reach) + 1);
  const first = new Int32Array(outLength);
  const weights = new Float32Array(outLength * taps);
  for (let i = 0; i < outLength; i += 1) {
    const centre = from + (i + 0.5) * step - 0.5;
    const low = Math.ceil(centre - reach);
    const start = Math.max(0, Math.min(sourceLength - taps, low));
    first[i] = start;
    let total = 0;
    for (let j = low; j <= centre + reach; j += 1) {
      const w = lanczos3((j - centre) / stretch);
      const at = Math.max(0, Math.min(sourceLength - 1, j)) - start;
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
