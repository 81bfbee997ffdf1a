/** Weights of the four neighbours for a fraction of a pixel: Keys's cubic, a = -1/2. */
export function cubicWeights(t: number, out: Float64Array): void {
  const t2 = t * t;
  const t3 = t2 * t;
  out[0] = -0.5 * t + t2 - 0.5 * t3;
  out[1] = 1 - 2.5 * t2 + 1.5 * t3;
  out[2] = 0.5 * t + 2 * t2 - 1.5 * t3;
  out[3] = -0.5 * t2 + 0.5 * t3;
}
