import { invert, multiply } from './matrix';
import type { Curve, MatrixProfile } from './matrixProfile';

const STEPS = 65536;
/** Points of the inverse tables, evenly spaced over the square root of linear light. */
const POINTS = 8192;
/** The last point of an encoder: all light. */
export const ENCODER_POINTS = POINTS;

const forward = (curve: Curve): Float32Array =>
  Float32Array.from({ length: STEPS }, (_, i) => curve(i / (STEPS - 1)));

/** Square root of linear light -> encoded 0..65535; null when the curve does not rise. */
function inverse(table: Float32Array): Float32Array | null {
  for (let i = 1; i < STEPS; i += 1) if (table[i]! < table[i - 1]!) return null;
  const low = table[0]!;
  const high = table[STEPS - 1]!;
  if (!(high > low)) return null;
  const out = new Float32Array(POINTS + 2);
  let at = 0;
  for (let p = 0; p < out.length; p += 1) {
    const light = Math.min(high, Math.max(low, (p / POINTS) ** 2));
    while (at < STEPS - 2 && table[at + 1]! < light) at += 1;
    const step = table[at + 1]! - table[at]!;
    out[p] = at + (step > 0 ? Math.min(1, Math.max(0, (light - table[at]!) / step)) : 0);
  }
  return out;
}

/** The same tables, alike ones replaced by the first of them. */
const shared = <T extends Float32Array | Uint8Array | null>(tables: T[]): T[] =>
  tables.map(
    (table) => tables.find((t) => table && t?.every((v, i) => v === table[i])) ?? table,
  );

/** The inverse tables of a profile's curves; null when one of them does not rise. */
export function encodersOf(target: MatrixProfile): [Encoder, Encoder, Encoder] | null {
  const [r, g, b] = shared(target.curves.map((curve) => inverse(forward(curve))));
  return r && g && b ? [r, g, b] : null;
}

/** Square root of linear light -> encoded 0..65535. */
export type Encoder = Float32Array;

/** Encoded 0..65535, to be cut off to a whole number, of linear light 0..1. */
export function encodedAt(table: Encoder, light: number): number {
  const place = light <= 0 ? 0 : light >= 1 ? POINTS : Math.sqrt(light) * POINTS;
  const low = place | 0;
  const from = table[low]!;
  return from + (place - low) * (table[low + 1]! - from) + 0.5;
}

/** Linear light 0..65535 -> the nearest of 256 encoded values: finer than any step of 8 bits. */
function eightBits(inverted: Float32Array): Uint8Array {
  const out = new Uint8Array(STEPS);
  for (let i = 0; i < STEPS; i += 1) {
    const place = Math.sqrt(i / (STEPS - 1)) * POINTS;
    const low = place | 0;
    const from = inverted[low]!;
    out[i] = Math.round((from + (place - low) * (inverted[low + 1]! - from)) / 257);
  }
  return out;
}

/** Converts interleaved 16-bit RGB, `pixels` of them. */
export interface Shaper {
  readonly toSixteen: (input: Uint16Array, output: Uint16Array, pixels: number) => void;
  /** The same for the screen, several times as fast, to 8 bits. */
  readonly toEight: (input: Uint16Array, output: Uint8Array, pixels: number) => void;
}

/**
 * The colorimetric conversion between two matrix profiles: curves, one 3 x 3 matrix, inverse
 * curves, in single precision; what lies outside the target is clipped per channel. Null
 * when the pair cannot be joined like this.
 */
export function matrixShaper(source: MatrixProfile, target: MatrixProfile): Shaper | null {
  // One table for curves that are alike: half the memory traffic of three.
  const linear = shared(source.curves.map(forward));
  const encoders = encodersOf(target);
  if (!encoders) return null;
  const [er, eg, eb] = encoders;
  const [lr, lg, lb] = linear as [Float32Array, Float32Array, Float32Array];
  let matrix;
  try {
    matrix = multiply(invert(target.toXyz), source.toXyz);
  } catch {
    return null;
  }
  const [[a, b, c], [d, e, f], [g, h, k]] = matrix;
  const at = encodedAt;
  const toSixteen: Shaper['toSixteen'] = (input, output, pixels) => {
    for (let i = 0, end = pixels * 3; i < end; i += 3) {
      const r = lr[input[i]!]!;
      const gr = lg[input[i + 1]!]!;
      const bl = lb[input[i + 2]!]!;
      output[i] = at(er, a * r + b * gr + c * bl);
      output[i + 1] = at(eg, d * r + e * gr + f * bl);
      output[i + 2] = at(eb, g * r + h * gr + k * bl);
    }
  };
  let screen: ReturnType<typeof eightBits>[] | undefined;
  const toEight: Shaper['toEight'] = (input, output, pixels) => {
    const [sr, sg, sb] = (screen ??= shared([er, eg, eb].map(eightBits))) as [
      Uint8Array,
      Uint8Array,
      Uint8Array,
    ];
    const most = STEPS - 1;
    const place = (light: number): number => {
      const i = (light * most + 0.5) | 0;
      return i <= 0 ? 0 : i >= most ? most : i;
    };
    for (let i = 0, end = pixels * 3; i < end; i += 3) {
      const r = lr[input[i]!]!;
      const gr = lg[input[i + 1]!]!;
      const bl = lb[input[i + 2]!]!;
      output[i] = sr[place(a * r + b * gr + c * bl)]!;
      output[i + 1] = sg[place(d * r + e * gr + f * bl)]!;
      output[i + 2] = sb[place(g * r + h * gr + k * bl)]!;
    }
  };
  return { toSixteen, toEight };
}
