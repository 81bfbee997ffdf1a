import { colourDifference } from '../colour';
import { labAt } from './cost';

/** Steps of a stretch along a row or a column, and pixels from one to the next. */
const STEPS = 6;
const STRIDE = 4;
/** Rows or columns from one that is looked along to the next. */
const LINES = 8;
/** A stretch is a gradient when it changes by so much, in steps that are nearly even; CIEDE2000. */
const LEAST = 3;
const EVEN = { low: 0.5, high: 1.7 };
/** It breaks when one step takes more than this share of all its change and another nearly none. */
const JUMP = 0.45;
const FLAT = 0.04;
/** Changes of L*, a* or b* below which two colours are not farther apart than `LEAST` / 3, whatever their hue. */
const STILL = 0.5;

/** A stretch that changes evenly: its first pixel, and how far it is to the next of its row or column. */
export interface Stretch {
  at: number;
  by: number;
}

export interface Gradients {
  /** Stretches of the source that change smoothly. */
  smooth: number;
  /** Those of them that break into steps in the proof. */
  broken: number;
  /** The first pixel of the one that breaks most; null where none does. */
  worst: number | null;
}

/** CIEDE2000 of each step of a stretch. `of`: for each pixel the place of its colour in the list. */
function stepsOf(
  { at, by }: Stretch,
  of: ArrayLike<number>,
  list: ArrayLike<number>,
  steps: Float64Array,
): void {
  let before = labAt(list, of[at]!);
  for (let i = 0; i < STEPS; i += 1) {
    const next = labAt(list, of[at + (i + 1) * STRIDE * by]!);
    steps[i] = colourDifference(before, next);
    before = next;
  }
}

function isEven(
  { at, by }: Stretch,
  of: ArrayLike<number>,
  source: ArrayLike<number>,
): boolean {
  const [one, other] = [of[at]!, of[at + STEPS * STRIDE * by]!];
  let moves = false;
  for (let c = 0; c < 3; c += 1)
    moves ||= Math.abs(source[one * 3 + c]! - source[other * 3 + c]!) > STILL;
  if (!moves) return false;
  const whole = colourDifference(labAt(source, one), labAt(source, other));
  if (whole < LEAST) return false;
  const [low, high] = [(EVEN.low * whole) / STEPS, (EVEN.high * whole) / STEPS];
  // Most of a picture is not even: the first step that is not tells.
  let before = labAt(source, one);
  for (let i = 1; i <= STEPS; i += 1) {
    const next = labAt(source, of[at + i * STRIDE * by]!);
    const step = colourDifference(before, next);
    if (step <= low || step >= high) return false;
    before = next;
  }
  return true;
}

/**
 * The places of a picture that change evenly: stretches along rows and columns that share no
 * pixel. `of`: for each pixel the place of its colour in the list of L*a*b*; rows of `width`.
 */
export function evenStretches(
  of: ArrayLike<number>,
  { width, height }: { width: number; height: number },
  source: ArrayLike<number>,
): Stretch[] {
  const long = STEPS * STRIDE;
  const found: Stretch[] = [];
  const look = (stretch: Stretch) => {
    if (isEven(stretch, of, source)) found.push(stretch);
  };
  for (let y = 0; y < height; y += LINES)
    for (let x = 0; x + long < width; x += long) look({ at: y * width + x, by: 1 });
  for (let x = 0; x < width; x += LINES)
    for (let y = 0; y + long < height; y += long) look({ at: y * width + x, by: width });
  return found;
}

/** Those of even stretches that break in the proof: a jump beside a flat place. */
export function brokenGradients(
  stretches: readonly Stretch[],
  of: ArrayLike<number>,
  proof: ArrayLike<number>,
): Gradients {
  const found: Gradients = { smooth: stretches.length, broken: 0, worst: null };
  const steps = new Float64Array(STEPS);
  let worst = 0;
  for (const stretch of stretches) {
    stepsOf(stretch, of, proof, steps);
    const sum = steps.reduce((t, v) => t + v, 0);
    if (sum === 0) continue;
    const jump = Math.max(...steps) / sum;
    if (jump < JUMP || Math.min(...steps) / sum > FLAT) continue;
    found.broken += 1;
    if (jump > worst) [worst, found.worst] = [jump, stretch.at];
  }
  return found;
}
