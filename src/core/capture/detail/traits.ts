import type { Periods } from './periodicity';

const { abs, ceil, floor, log, log2, max, min, round, sqrt } = Math;

/** Ends of the bands in which the spectrum is averaged, cycles a pixel. */
const BANDS = [
  0.04, 0.06, 0.085, 0.11, 0.14, 0.17, 0.2, 0.235, 0.27, 0.305, 0.345, 0.39, 0.435, 0.47,
  0.497,
];
/** The band that the others are held against. */
const REFERENCE = 2;
const MIDDLE = 6;
const DEEPEST = -11;
const STRONGEST = 60;
/** Half the width of a line that is looked for, cycles a pixel. */
const LINE = 0.00375;
/** Strengths that chance alone gives, at one place and as the highest of many. */
const BY_CHANCE = 1.8;
const HIGHEST_BY_CHANCE = 3;

/** A spectrum: median log2 power of the tiles in even steps from 0 to half a cycle a pixel. */
export type Curve = readonly number[];

/** Mean of the curve between two frequencies, ends included. */
export function bandMean(curve: Curve, from: number, to: number): number {
  const steps = 2 * (curve.length - 1);
  let sum = 0;
  let count = 0;
  for (let b = ceil(from * steps - 1e-9); b <= to * steps + 1e-9; b += 1) {
    sum += curve[b] ?? 0;
    count += 1;
  }
  return count > 0 ? sum / count : (curve[round(from * steps)] ?? 0);
}

/** Slope of the curve over log2 of the frequency between 0.3 and the end, by least squares. */
function endSlope(curve: Curve): number {
  const steps = 2 * (curve.length - 1);
  const points: [number, number][] = [];
  for (let b = floor(0.3 * steps) + 1; b <= 0.497 * steps; b += 1)
    points.push([log2(b / steps), curve[b]!]);
  const n = points.length;
  const mx = points.reduce((s, [x]) => s + x, 0) / n;
  const my = points.reduce((s, [, y]) => s + y, 0) / n;
  const over = points.reduce((s, [x, y]) => s + (x - mx) * (y - my), 0);
  return over / points.reduce((s, [x]) => s + (x - mx) ** 2, 0);
}

/** Ends of detail, cycles a pixel, at which a break of the slope is looked for. */
const BREAKS = [0.4, 0.333, 0.25, 0.167, 0.125];
const BREAK_RANGE = { least: -3, most: 8, plain: 1.5 };

/**
 * How much steeper the curve falls across a frequency than below it, log2 an octave; and by
 * how much that is more than a plain curve ever does.
 */
function breakAt(curve: Curve, c: number): [number, number] {
  const mean = (from: number, to: number) => {
    const end = min(to, 0.497);
    return bandMean(curve, min(from, end - 0.01), end);
  };
  const below = (mean(0.45 * c, 0.55 * c) - mean(0.75 * c, 0.85 * c)) / log2(0.8 / 0.5);
  const beyond = min(1.2 * c, 0.485);
  const fall = mean(0.8 * c, 0.9 * c) - mean(beyond - 0.03 * c, beyond + 0.03 * c);
  const steeper = fall / log2(beyond / (0.85 * c)) - below;
  const { least, most, plain } = BREAK_RANGE;
  return [max(least, min(most, steeper)), max(0, min(most, steeper - plain))];
}

/** The highest strength near a frequency. */
function strengthNear({ step, strength }: Periods, frequency: number): number {
  let best = 0;
  const to = min(strength.length - 1, floor((frequency + LINE) / step));
  for (let b = ceil((frequency - LINE) / step); b <= to; b += 1)
    best = max(best, strength[b]!);
  return best;
}

/** Periods along both axes, which an enlargement leaves alike. */
export interface BothPeriods {
  across: Periods;
  down: Periods;
}

/** Geometric mean of the strengths along both axes near a frequency. */
export const jointStrength = ({ across, down }: BothPeriods, frequency: number): number =>
  sqrt(strengthNear(across, frequency) * strengthNear(down, frequency));

/** Frequencies that blocks of 8 pixels (and such blocks enlarged two times) leave: no sign of anything. */
const ofBlocks = (frequency: number): boolean =>
  abs(frequency * 16 - round(frequency * 16)) < 0.0816;

export interface Peak {
  strength: number;
  frequency: number;
}

/** The strongest period that is not one of JPEG's blocks. */
export function strongestPeriod(periods: BothPeriods): Peak {
  let best: Peak = { strength: 0, frequency: 0 };
  for (let q = 32; q < 184; q += 1) {
    const frequency = q / 400;
    if (ofBlocks(frequency)) continue;
    const strength = jointStrength(periods, frequency);
    if (strength > best.strength) best = { strength, frequency };
  }
  return best;
}

const aboveChance = (strength: number, chance: number): number =>
  log(min(STRONGEST, max(1, strength / chance)));

/** Traits in the order of the weights. `texture`: mean of the best tiles, of 255. */
export function detailTraits(
  curve: Curve,
  periods: BothPeriods,
  peak: Peak,
  texture: number,
): number[] {
  const bands = BANDS.slice(1).map((to, i) => bandMean(curve, BANDS[i]!, to));
  const reference = bands[REFERENCE]!;
  const last = bands.at(-1)!;
  const relative = bands
    .map((b) => max(b - reference, DEEPEST))
    .filter((_, i) => i !== REFERENCE);
  const highest = aboveChance(peak.strength, HIGHEST_BY_CHANCE);
  const blocks = log(
    sqrt(max(1, jointStrength(periods, 0.125)) * max(1, jointStrength(periods, 0.375))),
  );
  const slope = endSlope(curve);
  const fifth = aboveChance(jointStrength(periods, 0.2), BY_CHANCE);
  const third = aboveChance(jointStrength(periods, 1 / 3), BY_CHANCE);
  return [
    ...relative,
    last,
    max(last, -4),
    highest,
    max(0, highest - 1),
    blocks,
    log2(texture + 0.3),
    blocks * (last - bands[MIDDLE]!),
    min(min(...bands), 0),
    slope,
    max(slope, -1),
    bandMean(curve, 0.3001, 0.497),
    fifth,
    third,
    max(0, fifth - 1),
    max(0, third - 1),
    ...BREAKS.flatMap((c) => breakAt(curve, c)),
  ];
}
