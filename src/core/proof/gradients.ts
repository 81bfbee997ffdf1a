import { colourDifference } from '../colour';
import { labAt } from './cost';

/** Steps of a stretch along a row or a column, and pixels from one to the next. */
const STEPS = 6;
const STRIDE = 4;
/** A stretch is a gradient when it changes by so much, in steps that are nearly even; CIEDE2000. */
const LEAST = 3;
const EVEN = { low: 0.5, high: 1.7 };
/** It breaks when one step takes more than this share of all its change and another nearly none. */
const JUMP = 0.45;
const FLAT = 0.04;

export interface Gradients {
  /** Stretches of the source that change smoothly. */
  smooth: number;
  /** Those of them that break into steps in the proof. */
  broken: number;
  /** The one that breaks most: its first pixel, whether it runs down; null where none does. */
  worst: { at: number; down: boolean } | null;
}

const shares = (steps: readonly number[]): number[] => {
  const sum = steps.reduce((t, v) => t + v, 0);
  return steps.map((v) => (sum > 0 ? v / sum : 0));
};

/**
 * Looks for gradients that break: places of a picture that change evenly in the source and by a
 * jump beside a flat place in the proof. `of`: for each pixel the place of its colour in both lists
 * of L*a*b*; rows of `width`.
 */
export function brokenGradients(
  of: ArrayLike<number>,
  { width, height }: { width: number; height: number },
  source: ArrayLike<number>,
  proof: ArrayLike<number>,
): Gradients {
  const found: Gradients = { smooth: 0, broken: 0, worst: null };
  const long = STEPS * STRIDE;
  let worst = 0;
  const look = (from: number, by: number, down: boolean) => {
    const places = Array.from({ length: STEPS + 1 }, (_, i) => of[from + i * STRIDE * by]!);
    const steps = (list: ArrayLike<number>) =>
      places
        .slice(1)
        .map((p, i) => colourDifference(labAt(list, places[i]!), labAt(list, p)));
    const before = steps(source);
    const whole = colourDifference(
      labAt(source, places[0]!),
      labAt(source, places.at(-1)!),
    );
    if (whole < LEAST) return;
    const even = before.every(
      (v) => v > (EVEN.low * whole) / STEPS && v < (EVEN.high * whole) / STEPS,
    );
    if (!even) return;
    found.smooth += 1;
    const after = shares(steps(proof));
    const jump = Math.max(...after);
    if (jump < JUMP || Math.min(...after) > FLAT) return;
    found.broken += 1;
    if (jump > worst) {
      worst = jump;
      found.worst = { at: from, down };
    }
  };
  // Stretches that do not share a pixel: each counts once.
  for (let y = 0; y < height; y += STRIDE)
    for (let x = 0; x + long < width; x += long) look(y * width + x, 1, false);
  for (let x = 0; x < width; x += STRIDE)
    for (let y = 0; y + long < height; y += long) look(y * width + x, width, true);
  return found;
}
