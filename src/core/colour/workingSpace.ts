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
const TO_XYZ = rgbToXyzD50(CARRIER).map((row) =>
  row.map((v) => Math.round(v * 65536) / 65536),
) as Matrix;
const FROM_XYZ = invert(TO_XYZ);

/** Shares of red, green and blue in the luminance of a colour of the working space. */
export const WORKING_LUMINANCE: Readonly<Vector> = TO_XYZ[1];

/**
 * By how much red, green and blue of a grey move in the working space when it is made warmer:
 * as if red went up and blue went down in A98 RGB.
 */
export const WORKING_WARMTH: Readonly<Vector> = apply(
  multiply(FROM_XYZ, rgbToXyzD50(RGB_SPACES['a98-rgb'])),
  [1, 0, -1],
);

/** From linear RGB of the working space, 0..1, to that of a profile. */
export const fromWorking = (target: MatrixProfile): Matrix =>
  multiply(invert(target.toXyz), TO_XYZ);

const WHOLE = 65535;
const LEVELS = 65536;

/** How 16-bit values of a picture become linear light of the working space. */
export interface WorkingDoor {
  /** Linear light, 0..65535, of every value; one curve, or one for each channel. */
  curves: Float32Array[];
  /** From the light of the picture's channels to that of the working space, row by row, in single precision; null: it is the same. */
  matrix: number[] | null;
}

const lightOf = (curve: Curve): Float32Array =>
  Float32Array.from({ length: LEVELS }, (_, i) => WHOLE * curve(i / WHOLE));

/** White may miss that of the working space by the rounding of a profile's numbers. */
const NEARLY_WHITE = 0.002;

/** The door of a picture in a matrix profile; its white is exactly that of the working space. */
export function doorOf({ curves, toXyz }: MatrixProfile): WorkingDoor {
  const tables = curves.map(lightOf);
  const matrix = multiply(FROM_XYZ, toXyz).map((row) => {
    const sum = row[0] + row[1] + row[2];
    return Math.abs(sum - 1) < NEARLY_WHITE ? row.map((v) => v / sum) : row;
  });
  const [first, ...others] = tables;
  const alike = others.every((t) => t.every((v, i) => v === first![i]));
  return { curves: alike ? [first!] : tables, matrix: matrix.flat().map(Math.fround) };
}

/** The door of a grey picture, whose values are light by a curve. */
export const greyDoor = (curve: Curve): WorkingDoor => ({
  curves: [lightOf(curve)],
  matrix: null,
});

/** The door of a picture that is carried in the working space already. */
export const carrierDoor = (): WorkingDoor => greyDoor((v) => v * v);

/** The 16-bit value by which light, 0..1, is carried; to be cut off to a whole number. */
export const carriedOf = (light: number): number =>
  light <= 0 ? 0 : light >= 1 ? WHOLE : Math.sqrt(light) * WHOLE + 0.5;

/** Linear light, 0..65535, as 16-bit values of the carrier. */
export function carriedLight(light: Float32Array, out: Uint16Array): void {
  for (let i = 0; i < light.length; i += 1) out[i] = carriedOf(light[i]! / WHOLE);
}

/** CIE 15: up to here lightness is proportional to luminance. */
const TOE = 216 / 24389;
const TOE_LIGHT = TOE * WHOLE;
const TOE_SLOPE = 24389 / 2700;
const TOE_VALUE = TOE_LIGHT * TOE_SLOPE;

/** Places of the table for each unit of the square root of light, and the light up to which it goes. */
const STEPS = 4096;
const MOST_LIGHT = 1.5;

let table: Float32Array | undefined;
/** Encoded values, 0..65535, over the square root of light. */
const encodings = (): Float32Array =>
  (table ??= Float32Array.from(
    { length: Math.ceil(STEPS * Math.sqrt(MOST_LIGHT)) + 2 },
    (_, i) => (WHOLE * (116 * Math.cbrt((i / STEPS) ** 2) - 16)) / 100,
  ));

/** Linear light to encoded values, both 0..65535, whatever overshoots included (below 0 the same, mirrored). */
export function encodeLight(light: Float32Array, out: Float32Array): void {
  const values = encodings();
  const scale = STEPS / Math.sqrt(WHOLE);
  const most = MOST_LIGHT * WHOLE;
  for (let i = 0; i < light.length; i += 1) {
    const v = light[i]!;
    const a = v < 0 ? -v : v;
    let e: number;
    if (a <= TOE_LIGHT) e = a * TOE_SLOPE;
    else if (a < most) {
      const place = Math.sqrt(a) * scale;
      const low = place | 0;
      const from = values[low]!;
      e = from + (place - low) * (values[low + 1]! - from);
    } else e = (WHOLE * (116 * Math.cbrt(a / WHOLE) - 16)) / 100;
    out[i] = v < 0 ? -e : e;
  }
}

/** Linear light 0..1 of one encoded value 0..65535. */
export function lightOfEncoded(value: number): number {
  const a = value < 0 ? -value : value;
  let light: number;
  if (a <= TOE_VALUE) light = a / (TOE_SLOPE * WHOLE);
  else {
    const f = (a * (100 / WHOLE) + 16) / 116;
    light = f * f * f;
  }
  return value < 0 ? -light : light;
}

/** Encoded values to linear light, both 0..65535. */
export function decodeLight(values: Float32Array, out: Float32Array): void {
  for (let i = 0; i < values.length; i += 1) out[i] = WHOLE * lightOfEncoded(values[i]!);
}
