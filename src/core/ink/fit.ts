import { Matrix, inverse } from 'ml-matrix';
import type { UsedCartridge } from './load';
import { INK_RULES } from './types';
import type { InkLoad, InkRules } from './types';

/** What an ink is used by, with how far off that may be. */
export interface InkFit {
  /** ml to a m2 covered wholly, to a usual cleaning, to a day. */
  perCovered: number;
  perCleaning: number;
  perDay: number;
  /** Covariance of the three, in this order. */
  covariance: number[][];
  /** How far cartridges scatter about it, a share of what is in one. */
  scatter: number;
  /** Cartridges that it rests on; of none it is the rules of thumb alone. */
  cartridges: number;
}

/** How sure the rules of thumb are of themselves: they may be off by so much of their value. */
const RULE_OFF = 0.7;
/** Cartridges that the rule of how far they scatter is worth. */
const SCATTER_WORTH = 3;
/** From so many times the scatter on, a cartridge counts less: it was changed early, or leaked. */
const ODD = 1.8;
const ROUNDS = 8;

const asVector = ({ covered, cleanings, days }: InkLoad): [number, number, number] => [
  covered,
  cleanings,
  days,
];

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, v, i) => sum + v * b[i]!, 0);

interface Row {
  /** Which ink it is of. */
  ink: number;
  load: readonly [number, number, number];
  ml: number;
}

/** What is sought: of each ink its ml to a covered m2, then what all share: to a cleaning, to a day. */
const at = (row: Row, inks: number): [number, number][] => [
  [row.ink, row.load[0]],
  [inks, row.load[1]],
  [inks + 1, row.load[2]],
];

/** Mean and covariance of what is sought, where some of it is known to be nothing. */
function solved(
  rows: readonly Row[],
  weights: readonly number[],
  prior: readonly number[],
  off: readonly number[],
  free: ReadonlySet<number>,
): { mean: number[]; covariance: Matrix } {
  const n = prior.length;
  const precision = Matrix.zeros(n, n);
  const right = Matrix.zeros(n, 1);
  prior.forEach((p, i) => {
    const own = 1 / off[i]! ** 2;
    precision.set(i, i, own);
    right.set(i, 0, own * p);
  });
  rows.forEach((row, k) => {
    const parts = at(row, n - 2).filter(([i]) => free.has(i));
    for (const [i, x] of parts) {
      right.set(i, 0, right.get(i, 0) + weights[k]! * x * row.ml);
      for (const [j, y] of parts)
        precision.set(i, j, precision.get(i, j) + weights[k]! * x * y);
    }
  });
  const covariance = inverse(precision);
  const mean = covariance.mmul(right).to1DArray();
  return { mean: mean.map((m, i) => (free.has(i) ? m : 0)), covariance };
}

/** The same, none of it negative. */
function solvedFromZero(
  rows: readonly Row[],
  weights: readonly number[],
  prior: readonly number[],
  off: readonly number[],
): { mean: number[]; covariance: Matrix } {
  const free = new Set(prior.keys());
  for (;;) {
    const got = solved(rows, weights, prior, off, free);
    const less = [...free].filter((i) => got.mean[i]! < 0);
    if (less.length === 0) return got;
    for (const i of less) free.delete(i);
  }
}

/**
 * What the inks of one printer are used by: least squares over all cartridges that were used up,
 * beginning from the rules of thumb (a normal prior); cartridges that do not agree with the
 * others count less (Huber's weights); nothing is negative. Cleaning and idle days take the
 * same of every ink, as its heads are cleaned together. The first set of a printer, which fills
 * its tubes, is left out. `cartridges`: those of each ink; answers a fit for each.
 * @example fitInks([[]], INK_RULES)[0].perCovered // 9
 */
export function fitInks(
  cartridges: readonly (readonly UsedCartridge[])[],
  rules: InkRules = INK_RULES,
): InkFit[] {
  const inks = cartridges.length;
  const rows = cartridges.flatMap((list, ink) =>
    list
      .filter((c) => !c.firstFill && c.ml > 0)
      .map((c): Row => ({ ink, load: asVector(c.load), ml: c.ml })),
  );
  const prior = [
    ...cartridges.map(() => rules.perCovered),
    rules.perCleaning,
    rules.perDay,
  ];
  const off = prior.map((p) => RULE_OFF * p);
  let { scatter } = rules;
  let counts = rows.map(() => 1);
  const weights = () => rows.map((r, i) => counts[i]! / (scatter * r.ml) ** 2);
  let fit = solvedFromZero(rows, weights(), prior, off);
  for (let round = 0; round < ROUNDS && rows.length > 0; round += 1) {
    const residuals = rows.map(
      (r) => (r.ml - at(r, inks).reduce((s, [i, x]) => s + fit.mean[i]! * x, 0)) / r.ml,
    );
    const sum = residuals.reduce((s, r, i) => s + counts[i]! * r * r, 0);
    const worth = counts.reduce((s, c) => s + c, 0);
    scatter = Math.sqrt(
      (SCATTER_WORTH * rules.scatter ** 2 + sum) /
        (SCATTER_WORTH + Math.max(0, worth - Math.min(inks, worth))),
    );
    counts = residuals.map((r) => Math.min(1, (ODD * scatter) / Math.abs(r || 1e-12)));
    fit = solvedFromZero(rows, weights(), prior, off);
  }
  return cartridges.map((_, ink) => {
    const of = [ink, inks, inks + 1];
    const [perCovered = 0, perCleaning = 0, perDay = 0] = of.map((i) => fit.mean[i]!);
    return {
      perCovered,
      perCleaning,
      perDay,
      covariance: of.map((i) => of.map((j) => fit.covariance.get(i, j))),
      scatter,
      cartridges: rows.filter((r) => r.ink === ink).length,
    };
  });
}

/** What a load takes, ml, and how far off that may be (standard deviation), scatter left out. */
export function usedBy(fit: InkFit, load: InkLoad): { ml: number; off: number } {
  const x = asVector(load);
  const ml = dot(x, [fit.perCovered, fit.perCleaning, fit.perDay]);
  const off = Math.sqrt(
    Math.max(
      0,
      dot(
        x,
        fit.covariance.map((row) => dot(row, x)),
      ),
    ),
  );
  return { ml, off };
}
