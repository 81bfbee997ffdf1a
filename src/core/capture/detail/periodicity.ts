import { medianOf } from '../medianOf';
import FFT from 'fft.js';

const { PI, abs, cos, floor, max, min, round, sqrt } = Math;

/** Adds |second difference| along a row of light to a profile: pixels `from` to `to - 1`, at `x` on. */
export function addAlong(
  light: Uint16Array,
  from: number,
  to: number,
  along: Float64Array,
  x: number,
): void {
  let before = light[from - 1]!;
  let here = light[from]!;
  for (let i = from; i < to; i += 1) {
    const next = light[i + 1]!;
    along[x + i - from]! += abs(2 * here - before - next);
    before = here;
    here = next;
  }
}

/** Sum of |second difference| across rows that are `stride` apart: pixels `from` to `to - 1`. */
export function sumAcross(
  light: Uint16Array,
  from: number,
  to: number,
  stride: number,
): number {
  let sum = 0;
  for (let i = from; i < to; i += 1)
    sum += abs(2 * light[i]! - light[i - stride]! - light[i + stride]!);
  return sum;
}

/** Samples of a profile over which the slow part is taken out. */
const SLOW = 12;
/** Neighbouring frequencies by which the ground of the spectrum is judged. */
const GROUND = 24;
/** Long profiles are taken in stretches of about so many samples, whose spectra are averaged. */
const STRETCH = 1600;
const SHORTEST = 64;

/** Strength of the periods in a profile, by frequency. */
export interface Periods {
  /** Cycles a pixel of bin 1 (bin i is i times as much). */
  step: number;
  /** Magnitude over the median of its neighbours; 1 is nothing. */
  strength: Float64Array;
}

/** A profile's ratio to its running mean, less 1. */
function ratios(profile: Float64Array): Float64Array {
  const n = profile.length;
  return profile.map((value, i) => {
    let sum = 0;
    let count = 0;
    for (let k = max(0, i - SLOW); k <= min(n - 1, i + SLOW); k += 1, count += 1)
      sum += profile[k]!;
    return sum > 0 ? max(-1, min(1, (value * count) / sum - 1)) : 0;
  });
}

/** Periods of a profile (an enlargement leaves them). Null under 64 samples. */
export function periodsOf(profile: Float64Array): Periods | null {
  const ratio = ratios(profile.subarray(2, profile.length - 2));
  if (ratio.length < SHORTEST) return null;
  const stretches = max(1, round(ratio.length / STRETCH));
  const n = floor(ratio.length / stretches);
  let side = 2 * SHORTEST;
  while (side < 2 * n) side *= 2;
  const fft = new FFT(side);
  const line = new Array<number>(side).fill(0);
  const out = fft.createComplexArray() as number[];
  const power = new Float64Array(side / 2 + 1);
  for (let k = 0; k < stretches; k += 1) {
    for (let i = 0; i < n; i += 1)
      line[i] = ratio[k * n + i]! * (0.5 - 0.5 * cos((2 * PI * (i + 0.5)) / n));
    fft.realTransform(out, line);
    for (let b = 0; b < power.length; b += 1)
      power[b]! += out[2 * b]! ** 2 + out[2 * b + 1]! ** 2;
  }
  const magnitude = power.map(sqrt);
  // A line of the spectrum is `side / n` bins wide: neighbours are looked up in such steps.
  const wide = side / n;
  const strength = magnitude.map((m, b) => {
    const near: number[] = [];
    for (let k = 2; k <= GROUND; k += 1)
      for (const at of [b - k * wide, b + k * wide]) {
        const v = magnitude[round(at)];
        if (v !== undefined) near.push(v);
      }
    return m / max(1e-12, medianOf(near));
  });
  return { step: 1 / side, strength };
}
