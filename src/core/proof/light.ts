import { daysAfter, daysUntil } from '../days';

/** What surrounds the screen and the prints, as they are judged. */
export const SURROUNDS = ['neutral grey', 'white', 'dark', 'coloured'] as const;
export type Surround = (typeof SURROUNDS)[number];

/** How screen and light are set up for judging prints; null: not measured. */
export interface LightSetUp {
  /** Illuminance on the print, lx. */
  lux: number;
  /** Luminous reflectance of the white of the paper, 0..1. */
  reflectance: number;
  /** Luminance of the screen's white, cd/m2. */
  luminance: number | null;
  /** Correlated colour temperature of the light and of the screen's white, K. */
  lightKelvin: number | null;
  screenKelvin: number | null;
  surround: Surround;
  /** The day on which the screen was calibrated last. */
  calibratedOn: string | null;
}

/** Rules of thumb of a set-up. */
export interface LightRules {
  /** Part of the wanted luminance by which a screen may be off, and from which it is plainly wrong. */
  near: number;
  far: number;
  /** The light prints are judged by, K; how far whites may be apart, and from where they plainly differ. */
  usualKelvin: number;
  kelvinApart: number;
  kelvinFar: number;
  /** Illuminance within which prints are judged, lx: less hides shadows, more flatters them. */
  luxLeast: number;
  luxMost: number;
  /** Days that a calibration lasts. */
  calibrationDays: number;
}

export const LIGHT_RULES: LightRules = {
  near: 0.1,
  far: 0.25,
  usualKelvin: 5000,
  kelvinApart: 300,
  kelvinFar: 1000,
  luxLeast: 375,
  luxMost: 625,
  calibrationDays: 30,
};

/**
 * The luminance of an evenly lit matte surface, cd/m2: L = E x reflectance / pi (Lambert).
 * @example Math.round(luminanceOf(500, 0.9)) // 143
 */
export const luminanceOf = (lux: number, reflectance: number): number =>
  (lux * reflectance) / Math.PI;

/**
 * The illuminance that gives a surface a luminance, lx. Infinite where it reflects nothing.
 * @example Math.round(illuminanceOf(143, 0.9)) // 499
 */
export const illuminanceOf = (luminance: number, reflectance: number): number =>
  (luminance * Math.PI) / reflectance;

/** One thing that was found of a set-up. */
export type LightFinding = { tone: 'good' | 'caution' | 'stop' } & (
  | { what: 'luminance'; wanted: number; found: number }
  | { what: 'lux'; found: number; within: readonly [number, number] }
  | { what: 'whites'; light: number; screen: number }
  | { what: 'light'; found: number; usual: number }
  | { what: 'surround'; found: Surround }
  | { what: 'calibration'; days: number; due: string }
);

/** What is to be said of a set-up, in the order in which it is put right. `today`: an ISO day. */
export function judgeLight(
  v: LightSetUp,
  today: string,
  rules: LightRules = LIGHT_RULES,
): LightFinding[] {
  const found: LightFinding[] = [];
  const within = [rules.luxLeast, rules.luxMost] as const;
  const lit = v.lux >= rules.luxLeast && v.lux <= rules.luxMost;
  found.push({
    what: 'lux',
    tone: lit ? 'good' : 'caution',
    found: v.lux,
    within,
  });
  if (v.luminance !== null) {
    const wanted = luminanceOf(v.lux, v.reflectance);
    const off = Math.abs(v.luminance / wanted - 1);
    const tone = off <= rules.near ? 'good' : off <= rules.far ? 'caution' : 'stop';
    found.push({ what: 'luminance', tone, wanted, found: v.luminance });
  }
  if (v.lightKelvin !== null) {
    const apart = Math.abs(v.lightKelvin - rules.usualKelvin);
    const tone = apart <= rules.kelvinApart ? 'good' : 'caution';
    found.push({ what: 'light', tone, found: v.lightKelvin, usual: rules.usualKelvin });
  }
  if (v.lightKelvin !== null && v.screenKelvin !== null) {
    const apart = Math.abs(v.lightKelvin - v.screenKelvin);
    found.push({
      what: 'whites',
      tone:
        apart <= rules.kelvinApart ? 'good' : apart <= rules.kelvinFar ? 'caution' : 'stop',
      light: v.lightKelvin,
      screen: v.screenKelvin,
    });
  }
  if (v.surround !== 'neutral grey')
    found.push({ what: 'surround', tone: 'caution', found: v.surround });
  if (v.calibratedOn !== null) {
    const due = daysAfter(v.calibratedOn, rules.calibrationDays);
    const days = -daysUntil(v.calibratedOn, today);
    const tone = daysUntil(due, today) < 0 ? 'caution' : 'good';
    found.push({ what: 'calibration', tone, days, due });
  }
  return found;
}
