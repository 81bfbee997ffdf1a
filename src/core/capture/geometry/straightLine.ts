const { abs, floor, max } = Math;
/** v = at + slope x u, with the points that lie on it. */
export interface StraightLine {
  at: number;
  slope: number;
  /** Share of all points within the slack. */
  agreeing: number;
}

export interface PlanePoint {
  u: number;
  v: number;
}

/** Pairs of points that are tried. */
const TRIALS = 400;

/**
 * The straight line that most points agree with (within `slack`), refined by least squares
 * over those points. Pairs are taken in a fixed order: no chance. Null under 8 points.
 */
export function straightLine(
  points: readonly PlanePoint[],
  slack: number,
): StraightLine | null {
  const n = points.length;
  if (n < 8) return null;
  let best = { at: 0, slope: 0, count: 0 };
  const spans = [0.5, 0.33, 0.7];
  for (let t = 0; t < TRIALS; t += 1) {
    const span = max(1, floor(n * spans[t % spans.length]!));
    const i = floor(((t * 0.6180339887) % 1) * (n - span));
    const a = points[i]!;
    const b = points[i + span]!;
    if (a.u === b.u) continue;
    const slope = (b.v - a.v) / (b.u - a.u);
    const at = a.v - slope * a.u;
    let count = 0;
    for (const p of points) if (abs(p.v - at - slope * p.u) <= slack) count += 1;
    if (count > best.count) best = { at, slope, count };
  }
  const on = points.filter((p) => abs(p.v - best.at - best.slope * p.u) <= slack);
  if (on.length < 8) return null;
  const mu = on.reduce((s, p) => s + p.u, 0) / on.length;
  const mv = on.reduce((s, p) => s + p.v, 0) / on.length;
  let suu = 0;
  let suv = 0;
  for (const p of on) {
    suu += (p.u - mu) ** 2;
    suv += (p.u - mu) * (p.v - mv);
  }
  if (suu === 0) return null;
  const slope = suv / suu;
  return { at: mv - slope * mu, slope, agreeing: on.length / n };
}
