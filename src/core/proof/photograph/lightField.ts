import { Matrix, solve } from 'ml-matrix';

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

const medianOf = (values: number[]): number =>
  values.sort((a, b) => a - b)[values.length >> 1] ?? 0;

/**
 * The fall of light over a photograph, by what is known to be white and by parts of a picture that have
 * one colour, of which only the changes from place to place count: whatever a print made of a colour, it
 * made so everywhere. Without white the constant is such that most groups are off by nothing.
 */
export function lightField(samples: readonly LightSample[], groups: number): LightField {
  const rows = samples.map((s) => basis(s.x, s.y));
  const size = rows[0]?.length ?? 0;
  const weights = samples.map((s) => s.weight);
  const hasWhite = samples.some((s) => s.group === null);
  let field: number[] = Array.from({ length: size + 1 }, () => 0);
  if (samples.length === 0) return field;
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums = Array.from({ length: groups }, () => new Float64Array(size + 2));
    samples.forEach((s, i) => {
      if (s.group === null) return;
      const sum = sums[s.group]!;
      const w = weights[i]!;
      rows[i]!.forEach((v, k) => (sum[k]! += w * v));
      sum[size]! += w * s.value;
      sum[size + 1]! += w;
    });
    const normal = Matrix.zeros(size + 1, size + 1);
    const right = Matrix.zeros(size + 1, 1);
    let total = 0;
    samples.forEach((s, i) => {
      const w = weights[i]!;
      if (w === 0) return;
      total += w;
      const sum = s.group === null ? null : sums[s.group]!;
      const all = sum ? sum[size + 1]! : 1;
      const line = rows[i]!.map((v, k) => v - (sum ? sum[k]! / all : 0));
      line.push(sum ? 0 : 1);
      const value = s.value - (sum ? sum[size]! / all : 0);
      for (let r = 0; r <= size; r += 1) {
        right.set(r, 0, right.get(r, 0) + w * line[r]! * value);
        for (let c = 0; c <= size; c += 1)
          normal.set(r, c, normal.get(r, c) + w * line[r]! * line[c]!);
      }
    });
    for (let k = 0; k <= size; k += 1)
      normal.set(k, k, normal.get(k, k) + RIDGE * total + 1e-9);
    const found = solve(normal, right).to1DArray();
    field = [found[size]!, ...found.slice(0, size)];
    // How far each is from its own group, and from the field.
    const without = samples.map((s) => s.value - fieldAt([0, ...field.slice(1)], s.x, s.y));
    const own = new Float64Array(groups);
    for (let g = 0; g < groups; g += 1)
      own[g] = medianOf(without.filter((_, i) => samples[i]!.group === g));
    const off = samples.map((s, i) =>
      s.group === null ? without[i]! - field[0]! : without[i]! - own[s.group]!,
    );
    if (!hasWhite) field[0] = weighedMiddle(samples, own);
    const usual = Math.max(0.004, medianOf(off.map(Math.abs))) * 1.5;
    samples.forEach((s, i) => {
      const share = off[i]! / (TOLERATED * usual);
      weights[i] = s.weight * (Math.abs(share) < 1 ? (1 - share * share) ** 2 : 0);
    });
  }
  return field;
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
