import { Matrix, solve } from 'ml-matrix';
import { medianOf } from '../../capture/medianOf';

/**
 * Logarithms of light of one channel at a place of a photograph, -1..1 each way: over the light that is
 * wanted there.
 */
export interface LightSample {
  x: number;
  y: number;
  value: number;
  weight: number;
  /** Samples of one group may all be off by the same: how a colour was printed; null: white, off by nothing. */
  group: number | null;
}

/** How light falls on a photograph: the logarithm, as a constant and six slopes and bends. */
export type LightField = readonly number[];

const basis = (x: number, y: number): number[] => {
  const r = x * x + y * y;
  return [x, y, x * x, x * y, y * y, r * r];
};

/** The logarithm of the light at a place. */
export const fieldAt = ([constant, ...slopes]: LightField, x: number, y: number): number =>
  basis(x, y).reduce((sum, v, i) => sum + v * slopes[i]!, constant!);

const ROUNDS = 4;
/** What is off by more than so many times the usual is something else than the fall of light. */
const TOLERATED = 3;
/** Bends cost a little, so that nothing is made of noise. */
const RIDGE = 1e-4;

/**
 * The fall of light over a photograph, by what is known to be white and by parts of a picture that have
 * one colour, of which only the changes from place to place count: whatever a print made of a colour, it
 * made so everywhere. Without white the constant is such that most groups are off by nothing.
 */
export function lightField(samples: readonly LightSample[], groups: number): LightField {
  const rows = samples.map((s) => basis(s.x, s.y));
  const size = basis(0, 0).length;
  const weights = Float64Array.from(samples, (s) => s.weight);
  const members: number[][] = Array.from({ length: groups }, () => []);
  samples.forEach((s, i) => s.group !== null && members[s.group]!.push(i));
  const hasWhite = samples.some((s) => s.group === null);
  let field: number[] = Array.from({ length: size + 1 }, () => 0);
  if (samples.length === 0) return field;
  for (let round = 0; round < ROUNDS; round += 1) {
    field = solved(samples, rows, weights, members);
    // How far each is from its own group, and from the field.
    const slopes = [0, ...field.slice(1)];
    const off = Float64Array.from(samples, (s) => s.value - fieldAt(slopes, s.x, s.y));
    const own = members.map((list) => medianOf(list.map((i) => off[i]!)));
    samples.forEach((s, i) => (off[i]! -= s.group === null ? field[0]! : own[s.group]!));
    if (!hasWhite) field[0] = weighedMiddle(samples, own);
    const usual = Math.max(0.004, medianOf(Array.from(off, Math.abs))) * 1.5;
    samples.forEach((s, i) => {
      const share = off[i]! / (TOLERATED * usual);
      weights[i] = s.weight * (Math.abs(share) < 1 ? (1 - share * share) ** 2 : 0);
    });
  }
  return field;
}

/** Least squares of one round: each group less its own mean, white as it is. */
function solved(
  samples: readonly LightSample[],
  rows: readonly number[][],
  weights: Float64Array,
  members: readonly number[][],
): number[] {
  const size = rows[0]!.length;
  const wide = size + 1;
  const means = members.map((list) => {
    const sum = new Float64Array(size + 2);
    for (const i of list) {
      const w = weights[i]!;
      const row = rows[i]!;
      for (let k = 0; k < size; k += 1) sum[k]! += w * row[k]!;
      sum[size]! += w * samples[i]!.value;
      sum[wide]! += w;
    }
    return sum.map((v) => v / Math.max(1e-12, sum[wide]!));
  });
  const normal = new Float64Array(wide * wide);
  const right = new Float64Array(wide);
  const line = new Float64Array(wide);
  let total = 0;
  samples.forEach((s, i) => {
    const w = weights[i]!;
    if (w === 0) return;
    total += w;
    const mean = s.group === null ? null : means[s.group]!;
    const row = rows[i]!;
    for (let k = 0; k < size; k += 1) line[k] = row[k]! - (mean ? mean[k]! : 0);
    line[size] = mean ? 0 : 1;
    const value = s.value - (mean ? mean[size]! : 0);
    for (let r = 0; r < wide; r += 1) {
      right[r]! += w * line[r]! * value;
      for (let c = 0; c < wide; c += 1) normal[r * wide + c]! += w * line[r]! * line[c]!;
    }
  });
  const sums = Matrix.from1DArray(wide, wide, Array.from(normal));
  for (let k = 0; k < wide; k += 1) sums.set(k, k, sums.get(k, k) + RIDGE * total + 1e-9);
  const found = solve(sums, Matrix.columnVector(Array.from(right))).to1DArray();
  return [found[size]!, ...found.slice(0, size)];
}

/** What the groups are off by in the middle, by the weight of their samples. */
function weighedMiddle(samples: readonly LightSample[], own: ArrayLike<number>): number {
  const all = samples
    .filter((s) => s.group !== null)
    .map((s) => ({ value: own[s.group!]!, weight: s.weight }))
    .sort((a, b) => a.value - b.value);
  let left = all.reduce((t, s) => t + s.weight, 0) / 2;
  for (const { value, weight } of all) {
    left -= weight;
    if (left <= 0) return value;
  }
  return 0;
}
