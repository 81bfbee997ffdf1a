import { HUES, TONES, colourDifference, hueOf, toneOf } from '../colour';
import type { Hue, Tone, Vector } from '../colour';
import type { PatchReading } from './cgats';

/** From when on a print is no longer the one that was approved, CIEDE2000: rules of thumb, to be changed. */
export const STRIP_LIMITS = { mean: 2, worst: 5 } as const;
export type StripLimits = { readonly mean: number; readonly worst: number };

/** Differences, CIEDE2000, from which more of them is seen: rules of thumb. */
export const SEEN_LIMITS = [1, 2, 3.5, 5] as const;

/**
 * How much of a difference is seen, 0 (nothing) to 4 (plainly wrong).
 * @example seenGrade(2.4) // 2
 */
export const seenGrade = (difference: number): number =>
  SEEN_LIMITS.filter((limit) => difference >= limit).length;

/** How one colour differs from another: lighter, redder, yellower, more colourful where above 0. */
export interface Shift {
  lightness: number;
  red: number;
  yellow: number;
  chroma: number;
}

export interface PatchDrift extends Shift {
  name: string;
  reading: Vector;
  reference: Vector;
  difference: number;
}

/** The mean of the shifts of some patches, and of their differences. */
export interface MeanShift extends Shift {
  patches: number;
  difference: number;
}

export interface StripDrift {
  patches: PatchDrift[];
  mean: number;
  p95: number;
  worst: PatchDrift;
  passes: boolean;
  byTone: Record<Tone, MeanShift | null>;
  byHue: Record<Hue | 'neutral', MeanShift | null>;
}

/** The shifts of a drift by their names, tones first, then what is neutral and each hue; what there is none of is left out. */
export const shiftsOf = (
  drift: Pick<StripDrift, 'byTone' | 'byHue'>,
): [name: Tone | Hue | 'neutral', shift: MeanShift][] =>
  [
    ...TONES.map((t) => [t, drift.byTone[t]] as const),
    ...(['neutral', ...HUES] as const).map((h) => [h, drift.byHue[h]] as const),
  ].flatMap(([name, shift]) => (shift ? [[name, shift]] : []));

/** Why two strips cannot be held against each other. */
export type StripFault =
  /** Patches of the reference are not in the reading. */
  { code: 'missing'; found: number; wanted: number; first: string };

const chromaOf = ([, a, b]: Vector) => Math.hypot(a, b);

const driftOf = (name: string, reading: Vector, reference: Vector): PatchDrift => ({
  name,
  reading,
  reference,
  difference: colourDifference(reference, reading),
  lightness: reading[0] - reference[0],
  red: reading[1] - reference[1],
  yellow: reading[2] - reference[2],
  chroma: chromaOf(reading) - chromaOf(reference),
});

function meanOf(patches: readonly PatchDrift[]): MeanShift | null {
  if (patches.length === 0) return null;
  const mean = (of: (p: PatchDrift) => number) =>
    patches.reduce((t, p) => t + of(p), 0) / patches.length;
  return {
    patches: patches.length,
    difference: mean((p) => p.difference),
    lightness: mean((p) => p.lightness),
    red: mean((p) => p.red),
    yellow: mean((p) => p.yellow),
    chroma: mean((p) => p.chroma),
  };
}

const named = <K extends string, V>(keys: readonly K[], of: (key: K) => V) =>
  Object.fromEntries(keys.map((k) => [k, of(k)])) as Record<K, V>;

/** Share of the patches that both readings must have; with fewer in common nothing is said. */
const LEAST_IN_COMMON = 0.75;

/**
 * How far a later print has drifted from the approved one: over the patches that both readings have, since
 * either may lack one that could not be read.
 */
export function driftSince(
  reading: readonly PatchReading[],
  approved: readonly PatchReading[],
  limits: StripLimits = STRIP_LIMITS,
): StripDrift | StripFault {
  const read = new Set(reading.map((p) => p.name));
  const common = approved.filter((p) => read.has(p.name));
  return common.length < LEAST_IN_COMMON * approved.length
    ? compareStrips(reading, approved, limits)
    : compareStrips(reading, common, limits);
}

/**
 * Holds a strip that was read against the approved one, patch by patch, by their names. What the
 * reading has beyond the reference is left out; every patch of the reference must be there.
 */
export function compareStrips(
  reading: readonly PatchReading[],
  reference: readonly PatchReading[],
  limits: StripLimits = STRIP_LIMITS,
): StripDrift | StripFault {
  const read = new Map(reading.map((p) => [p.name, p.lab]));
  const missing = reference.filter((p) => !read.has(p.name));
  if (missing.length > 0 || reference.length === 0)
    return {
      code: 'missing',
      found: reference.length - missing.length,
      wanted: reference.length,
      first: missing[0]?.name ?? '',
    };
  const patches = reference.map(({ name, lab }) => driftOf(name, read.get(name)!, lab));
  const sorted = [...patches].sort((a, b) => a.difference - b.difference);
  const mean = sorted.reduce((t, p) => t + p.difference, 0) / sorted.length;
  const worst = sorted.at(-1)!;
  const of = (keep: (p: PatchDrift) => boolean) => meanOf(patches.filter(keep));
  return {
    patches,
    mean,
    p95: sorted[Math.ceil(sorted.length * 0.95) - 1]!.difference,
    worst,
    passes: mean <= limits.mean && worst.difference <= limits.worst,
    byTone: named(TONES, (t) => of((p) => toneOf(p.reference[0]) === t)),
    byHue: named([...HUES, 'neutral'] as const, (h) =>
      of((p) => (hueOf(p.reference[1], p.reference[2]) ?? 'neutral') === h),
    ),
  };
}
