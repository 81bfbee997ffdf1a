import { D50 } from './matrix';
import type { Matrix, Vector } from './matrix';

/** Encoded 0..1 -> linear 0..1. */
export type Curve = (encoded: number) => number;

/** An RGB profile of the matrix and tone curve kind: linear RGB -> XYZ relative to D50. */
export interface MatrixProfile {
  curves: [Curve, Curve, Curve];
  toXyz: Matrix;
}

const HEADER = 128;
const clamp = (v: number) => Math.min(1, Math.max(0, v));
/** How many numbers each parametricCurveType function carries (ICC.1:2010, 10.15). */
const PARAMETERS = [1, 3, 4, 5, 7];

function parametric(view: DataView, at: number): Curve | null {
  const kind = view.getUint16(at + 8);
  const wanted = PARAMETERS[kind];
  if (wanted === undefined) return null;
  const [g = 1, a = 1, b = 0, c = 0, d = 0, e = 0, f = 0] = Array.from(
    { length: wanted },
    (_, i) => view.getInt32(at + 12 + i * 4) / 65536,
  );
  const power = (x: number, add: number) => Math.max(0, a * x + b) ** g + add;
  switch (kind) {
    case 0:
      return (x) => x ** g;
    case 1:
      return (x) => (x >= -b / a ? power(x, 0) : 0);
    case 2:
      return (x) => (x >= -b / a ? power(x, c) : c);
    case 3:
      return (x) => (x >= d ? power(x, 0) : c * x);
    default:
      return (x) => (x >= d ? power(x, e) : c * x + f);
  }
}

function sampled(view: DataView, at: number): Curve | null {
  const count = view.getUint32(at + 8);
  if (count === 0) return (x) => x;
  if (count === 1) {
    const gamma = view.getUint16(at + 12) / 256;
    return (x) => x ** gamma;
  }
  if (count > 65536 || at + 12 + count * 2 > view.byteLength) return null;
  const table = Float64Array.from(
    { length: count },
    (_, i) => view.getUint16(at + 12 + i * 2) / 65535,
  );
  return (x) => {
    const place = clamp(x) * (count - 1);
    const low = Math.min(count - 2, Math.floor(place));
    return table[low]! + (place - low) * (table[low + 1]! - table[low]!);
  };
}

/**
 * Reads the colorants and tone curves of a three-component matrix profile (ICC.1:2010,
 * 8.3.3); null for any other kind, and for one that breaks off. Nothing in it is trusted
 * for sizes: every offset is held against the length.
 */
export function readMatrixProfile(icc: Uint8Array): MatrixProfile | null {
  try {
    const view = new DataView(icc.buffer, icc.byteOffset, icc.byteLength);
    const ascii = (at: number) => String.fromCharCode(...icc.subarray(at, at + 4));
    if (ascii(16) !== 'RGB ' || ascii(20) !== 'XYZ ' || ascii(36) !== 'acsp') return null;
    const tags = new Map<string, number>();
    const count = Math.min(100, view.getUint32(HEADER));
    for (let i = 0; i < count; i += 1)
      tags.set(ascii(HEADER + 4 + i * 12), view.getUint32(HEADER + 8 + i * 12));
    // A table for some intent takes precedence over the matrix.
    if (['A2B0', 'A2B1', 'B2A0', 'B2A1', 'D2B0', 'D2B1'].some((t) => tags.has(t)))
      return null;
    const curveOf = (name: string): Curve | null => {
      const at = tags.get(name);
      if (at === undefined) return null;
      if (ascii(at) === 'para') return parametric(view, at);
      return ascii(at) === 'curv' ? sampled(view, at) : null;
    };
    const colorant = (name: string): Vector | null => {
      const at = tags.get(name);
      if (at === undefined || ascii(at) !== 'XYZ ') return null;
      return [0, 1, 2].map((i) => view.getInt32(at + 8 + i * 4) / 65536) as Vector;
    };
    const curves = ['rTRC', 'gTRC', 'bTRC'].map(curveOf);
    const [r, g, b] = ['rXYZ', 'gXYZ', 'bXYZ'].map(colorant);
    if (!r || !g || !b || curves.includes(null)) return null;
    const white = r.map((v, i) => v + g[i]! + b[i]!);
    if (white.some((v, i) => Math.abs(v - D50[i]!) > 0.05)) return null;
    return {
      curves: curves as MatrixProfile['curves'],
      toXyz: [0, 1, 2].map((i) => [r[i]!, g[i]!, b[i]!]) as Matrix,
    };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
