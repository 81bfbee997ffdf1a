import type { Vector } from '../../colour';

const far = (a: Readonly<Vector>, b: Readonly<Vector>) =>
  (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** A group of colours: its middle, and the weight of what lies in it. */
export interface Cluster {
  lab: Vector;
  weight: number;
}

const ROUNDS = 25;

/**
 * The main colours of a picture: k-means over weighed CIELAB colours (Lloyd 1982), begun with the
 * heaviest colour and then, each time, the one that is farthest from all chosen by its weight;
 * heaviest first. The same every time. Fewer than `k` where there are fewer colours.
 */
export function mainColours(
  labs: readonly Vector[],
  weights: ArrayLike<number>,
  k: number,
): Cluster[] {
  if (labs.length === 0 || k < 1) return [];
  let first = 0;
  for (let i = 1; i < labs.length; i += 1) if (weights[i]! > weights[first]!) first = i;
  const middles: Vector[] = [[...labs[first]!]];
  const nearest = labs.map((lab) => far(lab, middles[0]!));
  while (middles.length < k) {
    let best = -1;
    // The weight counts by its root, so that small areas of a colour of their own are found.
    let most = 0;
    for (let i = 0; i < labs.length; i += 1) {
      const pull = nearest[i]! * Math.sqrt(weights[i]!);
      if (pull > most) [best, most] = [i, pull];
    }
    if (best < 0) break;
    const next: Vector = [...labs[best]!];
    middles.push(next);
    for (let i = 0; i < labs.length; i += 1)
      nearest[i] = Math.min(nearest[i]!, far(labs[i]!, next));
  }
  const sums = middles.map(() => [0, 0, 0, 0]);
  for (let round = 0; round < ROUNDS; round += 1) {
    sums.forEach((s) => s.fill(0));
    for (let i = 0; i < labs.length; i += 1) {
      let at = 0;
      for (let m = 1; m < middles.length; m += 1)
        if (far(labs[i]!, middles[m]!) < far(labs[i]!, middles[at]!)) at = m;
      const weight = weights[i]!;
      for (let c = 0; c < 3; c += 1) sums[at]![c]! += weight * labs[i]![c as 0];
      sums[at]![3]! += weight;
    }
    let moved = 0;
    middles.forEach((middle, m) => {
      const [l, a, b, weight] = sums[m] as [number, number, number, number];
      if (weight === 0) return;
      const to: Vector = [l / weight, a / weight, b / weight];
      moved = Math.max(moved, far(middle, to));
      middles[m] = to;
    });
    if (moved < 1e-4) break;
  }
  return middles
    .map((lab, m) => ({ lab, weight: sums[m]![3]! }))
    .filter((c) => c.weight > 0)
    .sort((a, b) => b.weight - a.weight);
}
