/** Ranges of tone by CIE lightness L*: a rule of thumb, as printers speak of them. */
export const TONES = ['shadows', 'midtones', 'highlights'] as const;
export type Tone = (typeof TONES)[number];

/** L* from which a tone is a midtone, and a highlight. */
export const TONE_LIMITS = { midtones: 35, highlights: 70 } as const;

/** @example toneOf(50) // 'midtones' */
export const toneOf = (lightness: number): Tone =>
  lightness < TONE_LIMITS.midtones
    ? 'shadows'
    : lightness < TONE_LIMITS.highlights
      ? 'midtones'
      : 'highlights';

/** Eight sectors of hue around the a*b* plane, from red on, against the clock. */
export const HUES = [
  'red',
  'orange',
  'yellow',
  'green',
  'cyan',
  'blue',
  'violet',
  'magenta',
] as const;
export type Hue = (typeof HUES)[number];

/** CIELAB hue angles, degrees, at which each sector begins: the names that people give to prints. */
export const HUE_BEGINS = [10, 45, 75, 110, 170, 230, 285, 320];

/** Chroma C* below which a colour is called neutral, not of any hue. */
export const NEUTRAL_CHROMA = 6;

/**
 * The sector of a hue; null for what is nearly neutral.
 * @example hueOf(60, 40) // 'red'
 */
export function hueOf(a: number, b: number): Hue | null {
  if (Math.hypot(a, b) < NEUTRAL_CHROMA) return null;
  return HUES[sectorOf(((Math.atan2(b, a) * 180) / Math.PI + 360) % 360)]!;
}

/** The place among HUES of a hue angle, degrees 0..360. */
export function sectorOf(angle: number): number {
  let at = HUES.length - 1;
  while (at >= 0 && angle < HUE_BEGINS[at]!) at -= 1;
  return at < 0 ? HUES.length - 1 : at;
}

/** The middle of each sector, degrees. */
export const hueAngle = (hue: Hue): number => {
  const at = HUES.indexOf(hue);
  const from = HUE_BEGINS[at]!;
  const to = HUE_BEGINS[at + 1] ?? HUE_BEGINS[0]! + 360;
  return ((from + to) / 2) % 360;
};
