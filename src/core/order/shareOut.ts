/**
 * A whole amount (minor units) shared out by weights, to the last unit: the parts sum to the
 * amount, each is within one unit of its exact share (largest remainder). Without any weight
 * the shares are equal.
 * @example shareOut(100, [1, 1, 1]) // [34, 33, 33]
 */
export function shareOut(amount: number, weights: readonly number[]): number[] {
  if (weights.length === 0) return [];
  const total = weights.reduce((sum, w) => sum + w, 0);
  const of = total > 0 ? weights : weights.map(() => 1);
  const sum = total > 0 ? total : weights.length;
  const exact = of.map((w) => (amount * w) / sum);
  const shares = exact.map(Math.floor);
  const left = amount - shares.reduce((a, b) => a + b, 0);
  exact
    .map((x, i) => ({ i, rest: x - Math.floor(x) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, left)
    .forEach(({ i }) => (shares[i] = shares[i]! + 1));
  return shares;
}
