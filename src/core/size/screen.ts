import { MM_PER_INCH, mm } from '../units';
import type { Millimetres, Size } from '../units';

/** A bank card, mm (ISO/IEC 7810, ID-1). */
export const CARD: Size = { width: mm(85.6), height: mm(53.98) };

/** Screens from a large television to a telephone, ppi of their CSS pixels. */
export const LEAST_SCREEN_PPI = 30;
export const MOST_SCREEN_PPI = 400;

/** Whether a screen can have that many CSS pixels an inch. */
export const isScreenPpi = (ppi: number): boolean =>
  Number.isFinite(ppi) && ppi >= LEAST_SCREEN_PPI && ppi <= MOST_SCREEN_PPI;

/**
 * CSS pixels of a screen in a millimetre, from the pixels that a known length takes.
 * @example screenScale(428, mm(85.6)) // 5
 */
export const screenScale = (pixels: number, length: Millimetres): number => pixels / length;

/**
 * CSS pixels an inch.
 * @example screenPpi(5) // 127
 */
export const screenPpi = (pixelsPerMm: number): number => pixelsPerMm * MM_PER_INCH;

/**
 * CSS pixels for each millimetre of a print, so that on a screen seen from `eye` it subtends
 * the angle that it subtends from `distance`: w' / eye = w / distance.
 * @example angularScale(5, mm(600), mm(1500)) // 2
 */
export const angularScale = (
  pixelsPerMm: number,
  eye: Millimetres,
  distance: Millimetres,
): number => (pixelsPerMm * eye) / distance;

/**
 * Angle that a length subtends from a distance, in degrees, seen square on.
 * @example subtends(100, 1000) // 5.72
 */
export const subtends = (length: number, distance: number): number =>
  (2 * Math.atan(length / (2 * distance)) * 180) / Math.PI;

/** Distances that one steps through, mm: from the hand to across a hall. */
export const STEPS_MM = [
  250, 300, 400, 500, 650, 800, 1000, 1250, 1500, 2000, 2500, 3000, 4000, 5000, 6500, 8000,
  10_000,
] as const;

/** The next distance farther or nearer than one. */
export function stepFrom(distance: number, away: boolean): Millimetres {
  const steps = away ? STEPS_MM : [...STEPS_MM].reverse();
  const next = steps.find((s) => (away ? s > distance + 1 : s < distance - 1));
  return mm(next ?? distance);
}
