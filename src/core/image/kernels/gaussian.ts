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
