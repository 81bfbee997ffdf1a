/** RGB encodings by their CSS Color 4 names. */
export type SpaceId = 'srgb' | 'display-p3' | 'a98-rgb' | 'prophoto-rgb';

/** ICC parametric curve, encoded -> linear: (aX + b)^g from d on, cX below; a pure power when only g is given. */
export interface ToneCurve {
  g: number;
  a?: number;
  b?: number;
  c?: number;
  d?: number;
}

export interface RgbSpace {
  id: SpaceId;
  /** The name written into files and shown. */
  name: string;
  /** CIE xy of red, green, blue and white. */
  primaries: [[number, number], [number, number], [number, number]];
  white: [number, number];
  curve: ToneCurve;
}

const D65: [number, number] = [0.3127, 0.329];
const SRGB_CURVE = { g: 2.4, a: 1 / 1.055, b: 0.055 / 1.055, c: 1 / 12.92, d: 0.04045 };

/** From narrow to wide. Sources: IEC 61966-2-1, CSS Color 4, ISO 22028-2. */
export const RGB_SPACES: Record<SpaceId, RgbSpace> = {
  srgb: {
    id: 'srgb',
    name: 'sRGB',
    primaries: [
      [0.64, 0.33],
      [0.3, 0.6],
      [0.15, 0.06],
    ],
    white: D65,
    curve: SRGB_CURVE,
  },
  'display-p3': {
    id: 'display-p3',
    name: 'Display P3',
    primaries: [
      [0.68, 0.32],
      [0.265, 0.69],
      [0.15, 0.06],
    ],
    white: D65,
    curve: SRGB_CURVE,
  },
  'a98-rgb': {
    id: 'a98-rgb',
    name: 'A98 RGB (1998)',
    primaries: [
      [0.64, 0.33],
      [0.21, 0.71],
      [0.15, 0.06],
    ],
    white: D65,
    curve: { g: 563 / 256 },
  },
  'prophoto-rgb': {
    id: 'prophoto-rgb',
    name: 'ROMM RGB',
    primaries: [
      [0.734699, 0.265301],
      [0.159597, 0.840403],
      [0.036598, 0.000105],
    ],
    white: [0.345704, 0.35854],
    curve: { g: 1.8, a: 1, b: 0, c: 1 / 16, d: 1 / 32 },
  },
};

export const SPACE_IDS = Object.keys(RGB_SPACES) as SpaceId[];

/** Linear light, 0..1, of an encoded value of a space, 0..1. */
export const decoded = ({ g, a = 1, b = 0, c = 1, d = 0 }: ToneCurve, v: number): number =>
  v >= d ? (a * v + b) ** g : c * v;

/** Encoded value of a space, 0..1, of linear light, 0..1. */
export const encodedLight = (
  { g, a = 1, b = 0, c = 1, d = 0 }: ToneCurve,
  light: number,
): number => {
  const v = (light ** (1 / g) - b) / a;
  return v >= d ? v : light / c;
};

/**
 * CIE lightness L*, 0..100, of a luminance relative to white (CIE 15).
 * @example lightnessOf(0.184) // 49.98
 */
export const lightnessOf = (y: number): number =>
  y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y;
