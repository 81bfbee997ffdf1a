import { labOf, xyzOfLab } from './difference';
import { apply } from './matrix';
import type { Vector } from './matrix';
import { HUES, HUE_BEGINS, TONES, TONE_LIMITS, sectorOf } from './tones';
import {
  WORKING_TO_XYZ,
  XYZ_TO_WORKING,
  encodedOfLight,
  lightOfEncoded,
} from './workingSpace';

/** CIE lightnesses at which the curve of a balance is moved; black and white stay. */
export const CURVE_AT = [10, 30, 50, 70, 90] as const;

/** Shifts of colours in CIELAB, each by its tone and its hue. */
export interface Balance {
  /** Shift of L* at 10, 30, 50, 70 and 90: a tone curve of five points. */
  curve: number[];
  /** Shifts of L*, a* and b* of shadows, midtones and highlights in turn. */
  tones: number[];
  /** Shifts of L*, a* and b* of each hue in turn, from red on; greys have none. */
  hues: number[];
}

/** How many numbers each part of a balance has. */
export const BALANCE_LENGTHS = {
  curve: CURVE_AT.length,
  tones: TONES.length * 3,
  hues: HUES.length * 3,
} as const;
export type BalancePart = keyof typeof BALANCE_LENGTHS;
export const BALANCE_PARTS = Object.keys(BALANCE_LENGTHS) as BalancePart[];

/** A balance that moves nothing. */
export const noBalance = (): Balance => ({
  curve: new Array<number>(BALANCE_LENGTHS.curve).fill(0),
  tones: new Array<number>(BALANCE_LENGTHS.tones).fill(0),
  hues: new Array<number>(BALANCE_LENGTHS.hues).fill(0),
});

/** Half of the way in L* on which one tone becomes the next; in degrees, one hue the next. */
const TONE_RAMP = 5;
const HUE_RAMP = 7;
/** Chroma from which a colour begins to have a hue, and at which it wholly has it. */
const CHROMA_RAMP = [4, 8] as const;
/** L* within which, next to black and to white, less and less is moved. */
const ENDS = 9;

/**
 * A smooth way from 0 (at `from`) to 1 (at `to`).
 * @example smooth(5, 0, 10) // 0.5
 */
export function smooth(v: number, from: number, to: number): number {
  const t = v <= from ? 0 : v >= to ? 1 : (v - from) / (to - from);
  return t * t * (3 - 2 * t);
}

/** Shares of shadows, midtones and highlights in a lightness; together 1. */
export function toneShares(lightness: number): Vector {
  const { midtones, highlights } = TONE_LIMITS;
  const past = (limit: number) => smooth(lightness, limit - TONE_RAMP, limit + TONE_RAMP);
  const [middle, high] = [past(midtones), past(highlights)];
  return [1 - middle, middle - high, high];
}

/** Shares of the eight hues in a colour; together 1, less where it is nearly neutral, 0 for greys. */
export function hueShares(a: number, b: number, into: number[]): void {
  const coloured = smooth(Math.hypot(a, b), ...CHROMA_RAMP);
  into.fill(0);
  if (coloured === 0) return;
  const angle = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  for (let k = 0; k < HUES.length; k += 1) {
    const begin = HUE_BEGINS[k]!;
    const away = ((angle - begin + 540) % 360) - 180;
    if (Math.abs(away) > HUE_RAMP) continue;
    const share = smooth(away, -HUE_RAMP, HUE_RAMP);
    into[k] = coloured * share;
    into[(k + HUES.length - 1) % HUES.length] = coloured * (1 - share);
    return;
  }
  into[sectorOf(angle)] = coloured;
}

/**
 * The shift of L* that a curve makes at a lightness: through its five points and both ends by
 * cubics whose slopes are those of Fritsch and Carlson (1980), so that it never swings.
 */
export function curveShift(curve: readonly number[]): (lightness: number) => number {
  const x = [0, ...CURVE_AT, 100];
  const y = [0, ...curve, 0].map((v, i) => v + x[i]!);
  const steps = x.slice(1).map((v, i) => (y[i + 1]! - y[i]!) / (v - x[i]!));
  const slopes = y.map((_, i) => {
    const [one, two] = [steps[i - 1], steps[i]];
    if (one === undefined || two === undefined) return (one ?? two)!;
    return one * two <= 0 ? 0 : (2 * one * two) / (one + two);
  });
  return (lightness) => {
    if (!(lightness > 0 && lightness < 100)) return 0;
    let i = 0;
    while (lightness > x[i + 1]!) i += 1;
    const wide = x[i + 1]! - x[i]!;
    const t = (lightness - x[i]!) / wide;
    const [u, tt] = [1 - t, t * t];
    return (
      y[i]! * (1 + 2 * t) * u * u +
      slopes[i]! * wide * t * u * u +
      y[i + 1]! * tt * (3 - 2 * t) -
      slopes[i + 1]! * wide * tt * u -
      lightness
    );
  };
}

/** The way of a balance: moves a CIELAB colour in place. Black and white stay where they are. */
export function balanced({ curve, tones, hues }: Balance): (lab: Vector) => void {
  const lighter = curveShift(curve);
  const coloured = hues.some((v) => v !== 0);
  const shares = new Array<number>(HUES.length).fill(0);
  return (lab) => {
    const [l, a, b] = lab;
    const within = smooth(l, 0, ENDS) * (1 - smooth(l, 100 - ENDS, 100));
    let [dl, da, db] = [lighter(l), 0, 0];
    toneShares(l).forEach((share, k) => {
      dl += within * share * tones[3 * k]!;
      da += share * tones[3 * k + 1]!;
      db += share * tones[3 * k + 2]!;
    });
    if (coloured) {
      hueShares(a, b, shares);
      for (let k = 0; k < shares.length; k += 1) {
        const share = shares[k]!;
        if (share === 0) continue;
        dl += within * share * hues[3 * k]!;
        da += share * hues[3 * k + 1]!;
        db += share * hues[3 * k + 2]!;
      }
    }
    lab[0] = l + dl;
    lab[1] = a + within * da;
    lab[2] = b + within * db;
  };
}

const WHOLE = 65535;

/** CIELAB of encoded values of the working space, 0..65535. */
export const labOfWorking = (encoded: Readonly<Vector>): Vector =>
  labOf(apply(WORKING_TO_XYZ, encoded.map(lightOfEncoded) as Vector));

/** Encoded values of the working space, 0..65535 and beyond, of a CIELAB colour. */
export const workingOfLab = (lab: Readonly<Vector>): Vector =>
  apply(XYZ_TO_WORKING, xyzOfLab(lab)).map((v) => encodedOfLight(v * WHOLE)) as Vector;
