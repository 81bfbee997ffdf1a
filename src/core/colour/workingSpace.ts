import { apply, invert, multiply, rgbToXyzD50 } from './matrix';
import type { Matrix, Vector } from './matrix';
import type { Curve, MatrixProfile } from './matrixProfile';
import { RGB_SPACES } from './spaces';
import type { RgbSpace } from './spaces';

/**
 * The working space: the one in which recipes work, whatever profile a picture came in.
 * Primaries and white (D50) of ROMM RGB (ISO 22028-2), wide enough for every usual profile; values
 * are linear light, or encoded by CIE lightness (CIE 15: L* of each channel / 100), both 0..65535.
 */
const { primaries, white } = RGB_SPACES['prophoto-rgb'];

/** As 16-bit values it is carried by a power of 2, which rounds no dark tone away. */
export const CARRIER: Omit<RgbSpace, 'id'> = {
  name: 'Working RGB',
  primaries,
  white,
  curve: { g: 2 },
};

/** As the carrier's profile holds it, in parts of 65536. */
export const WORKING_TO_XYZ = rgbToXyzD50(CARRIER).map((row) =>
  row.map((v) => Math.round(v * 65536) / 65536),
) as Matrix;
export const XYZ_TO_WORKING = invert(WORKING_TO_XYZ);

/** Shares of red, green and blue in the luminance of a colour of the working space. */
export const WORKING_LUMINANCE: Readonly<Vector> = WORKING_TO_XYZ[1];

/**
 * By how much red, green and blue of a grey move in the working space when it is made warmer:
 * as if red went up and blue went down in A98 RGB.
 */
export const WORKING_WARMTH: Readonly<Vector> = apply(
  multiply(XYZ_TO_WORKING, rgbToXyzD50(RGB_SPACES['a98-rgb'])),
  [1, 0, -1],
);

/** White may miss that of the working space by the rounding of a profile's numbers. */
const NEARLY_WHITE = 0.002;

/** From linear RGB of a profile, 0..1, to that of the working space; white exactly to white. */
const intoWorkingRgb = ({ toXyz }: Pick<MatrixProfile, 'toXyz'>): Matrix =>
  multiply(XYZ_TO_WORKING, toXyz).map((row) => {
    const sum = row[0] + row[1] + row[2];
    return Math.abs(sum - 1) < NEARLY_WHITE ? row.map((v) => v / sum) : row;
  }) as Matrix;

/** From linear RGB of the working space to that of a profile. Throws RangeError where it has no way back. */
export const fromWorking = (target: Pick<MatrixProfile, 'toXyz'>): Matrix =>
  invert(intoWorkingRgb(target));

const WHOLE = 65535;
const LEVELS = 65536;

/** How 16-bit values of a picture become linear light of the working space. */
export interface WorkingDoor {
  /** Linear light, 0..65535, of every value; one curve, or one for each channel; none: it is light already. */
  curves: Float32Array[];
  /** From the light of the picture's channels to that of the working space, row by row, in single precision; null: it is the same. */
  matrix: number[] | null;
}

const lightOf = (curve: Curve): Float32Array =>
  Float32Array.from({ length: LEVELS }, (_, i) => WHOLE * curve(i / WHOLE));

/** The door of a picture in a matrix profile; its white is exactly that of the working space. */
export function doorOf(profile: MatrixProfile): WorkingDoor {
  const tables = profile.curves.map(lightOf);
  const [first, ...others] = tables;
  const alike = others.every((t) => t.every((v, i) => v === first![i]));
  return {
    curves: alike ? [first!] : tables,
    matrix: intoWorkingRgb(profile).flat().map(Math.fround),
  };
}

/** The door of a grey picture, whose values are light by a curve. */
export const greyDoor = (curve: Curve): WorkingDoor => ({
  curves: [lightOf(curve)],
  matrix: null,
});

/** The door of what is linear light of the working space already. */
export const OPEN_DOOR: WorkingDoor = { curves: [], matrix: null };

/** The door of a picture that is carried in the working space already. */
export const carrierDoor = (): WorkingDoor => greyDoor((v) => v * v);

/** The 16-bit value by which light, 0..1, is carried; to be cut off to a whole number. */
export const carriedOf = (light: number): number =>
  light <= 0 ? 0 : light >= 1 ? WHOLE : Math.sqrt(light) * WHOLE + 0.5;

/** Linear light, 0..65535, as 16-bit values of the carrier. */
export function carriedLight(light: Float32Array, out: Uint16Array): void {
  for (let i = 0; i < light.length; i += 1) out[i] = carriedOf(light[i]! / WHOLE);
}

/** CIE 15: up to here lightness is proportional to luminance, by so much. */
const TOE = 216 / 24389;
const SLOPE = 24389 / 2700;

/**
 * The encoding of the working space over light and values 0..65535: up to `toeLight` (`toeValue`)
 * light x `slope`, beyond it its cube root x `scale` - `less`.
 */
export const LIGHTNESS = {
  toeLight: TOE * WHOLE,
  toeValue: TOE * SLOPE * WHOLE,
  slope: SLOPE,
  scale: 1.16 * Math.cbrt(WHOLE) ** 2,
  less: 0.16 * WHOLE,
} as const;

/**
 * The encoded value of linear light, both 0..65535, mirrored below 0.
 * @example Math.round(encodedOfLight(65535)) // 65535
 */
export function encodedOfLight(light: number): number {
  const a = Math.abs(light);
  const { toeLight, slope, scale, less } = LIGHTNESS;
  return Math.sign(light) * (a <= toeLight ? a * slope : scale * Math.cbrt(a) - less);
}

/** Linear light 0..1 of one encoded value 0..65535, mirrored below 0. */
export function lightOfEncoded(value: number): number {
  const a = value < 0 ? -value : value;
  let light: number;
  if (a <= TOE * SLOPE * WHOLE) light = a / (SLOPE * WHOLE);
  else {
    const f = (a * (100 / WHOLE) + 16) / 116;
    light = f * f * f;
  }
  return value < 0 ? -light : light;
}
