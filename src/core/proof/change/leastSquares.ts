import { Matrix, solve } from 'ml-matrix';

/** A number that is sought: how large it usually is, and its limits. */
export interface Sought {
  /** Its usual size: what is far beyond it is taken only where it is worth it. */
  scale: number;
  least: number;
  most: number;
}

const ROUNDS = 12;
/** Part of its scale by which a number is moved to see what that does. */
const TRIED = 0.05;

const held = (v: number, { least, most }: Sought) => Math.min(most, Math.max(least, v));
const squares = (list: readonly number[]) => list.reduce((sum, v) => sum + v * v, 0);

/**
 * Numbers that make the squares of residuals least (Levenberg 1944, Marquardt 1963), each within its
 * limits. `weight`: what a number as large as its scale costs, in squares; so that of two ways
 * that do the same the smaller is taken. Derivatives are taken by trying.
 */
export function leastSquares(
  residuals: (numbers: readonly number[]) => number[],
  begin: readonly number[],
  sought: readonly Sought[],
  { weight, from = begin.map(() => 0) }: { weight: number; from?: readonly number[] },
): number[] {
  const pulls = sought.map(({ scale }) => Math.sqrt(weight) / scale);
  const all = (p: readonly number[]) => [
    ...residuals(p),
    ...p.map((v, k) => (v - from[k]!) * pulls[k]!),
  ];
  let at = begin.map((v, k) => held(v, sought[k]!));
  let now = all(at);
  let damp = 1e-2;
  for (let round = 0; round < ROUNDS; round += 1) {
    const slopes = at.map((v, k) => {
      const step = sought[k]!.scale * TRIED;
      const side = v + step > sought[k]!.most ? -step : step;
      const moved = all(at.map((w, j) => (j === k ? w + side : w)));
      return moved.map((r, i) => (r - now[i]!) / side);
    });
    const normal = slopes.map((a) =>
      slopes.map((b) => a.reduce((s, v, i) => s + v * b[i]!, 0)),
    );
    const right = slopes.map((a) => [-a.reduce((s, v, i) => s + v * now[i]!, 0)]);
    let better = false;
    for (let tries = 0; tries < 6 && !better; tries += 1) {
      const damped = normal.map((row, k) =>
        row.map((v, j) => (j === k ? v * (1 + damp) + 1e-12 : v)),
      );
      const step = solve(new Matrix(damped), new Matrix(right), true).to1DArray();
      const next = at.map((v, k) => held(v + step[k]!, sought[k]!));
      const found = all(next);
      better = squares(found) < squares(now) * (1 - 1e-6);
      if (better) [at, now, damp] = [next, found, damp / 4];
      else damp *= 8;
    }
    if (!better) break;
  }
  return at;
}
