import { D50 } from './matrix';
import type { Matrix, Vector } from './matrix';
import { asciiAt, readWhole, tagsOf, xyzAt } from './profileTags';

/** Encoded 0..1 -> linear 0..1. */
export type Curve = (encoded: number) => number;

/** An RGB profile of the matrix and tone curve kind: linear RGB -> XYZ relative to D50. */
export interface MatrixProfile {
  curves: [Curve, Curve, Curve];
  toXyz: Matrix;
}

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

/** The tone curve in a tag; null when there is none that can be read. */
function curveAt(icc: Uint8Array, view: DataView, at: number | undefined): Curve | null {
  if (at === undefined) return null;
  const kind = asciiAt(icc, at);
  if (kind === 'para') return parametric(view, at);
  return kind === 'curv' ? sampled(view, at) : null;
}

/**
 * Reads the curve of a grey profile (ICC.1:2010, 8.4.2), luminance over the page's white; null
 * for any other kind, for one with tables, and for one that breaks off.
 */
export const readGreyProfile = (icc: Uint8Array): Curve | null =>
  readWhole(icc, (view) => {
    const ascii = (at: number) => asciiAt(icc, at);
    if (ascii(16) !== 'GRAY' || ascii(20) !== 'XYZ ' || ascii(36) !== 'acsp') return null;
    const tags = tagsOf(icc, view);
    return TABLES.some((t) => tags.has(t)) ? null : curveAt(icc, view, tags.get('kTRC'));
  });

/** Tags that take precedence over a matrix or a curve. */
const TABLES = ['A2B0', 'A2B1', 'B2A0', 'B2A1', 'D2B0', 'D2B1'];

/**
 * Reads the colorants and tone curves of a three-component matrix profile (ICC.1:2010,
 * 8.3.3); null for any other kind, and for one that breaks off. Nothing in it is trusted
 * for sizes: every offset is held against the length.
 */
export const readMatrixProfile = (icc: Uint8Array): MatrixProfile | null =>
  readWhole(icc, (view) => {
    const ascii = (at: number) => asciiAt(icc, at);
    if (ascii(16) !== 'RGB ' || ascii(20) !== 'XYZ ' || ascii(36) !== 'acsp') return null;
    const tags = tagsOf(icc, view);
    if (TABLES.some((t) => tags.has(t))) return null;
    const colorant = (name: string): Vector | null => {
      const at = tags.get(name);
      return at === undefined || ascii(at) !== 'XYZ ' ? null : xyzAt(view, at);
    };
    const curves = ['rTRC', 'gTRC', 'bTRC'].map((t) => curveAt(icc, view, tags.get(t)));
    const [r, g, b] = ['rXYZ', 'gXYZ', 'bXYZ'].map(colorant);
    if (!r || !g || !b || curves.includes(null)) return null;
    const white = r.map((v, i) => v + g[i]! + b[i]!);
    if (white.some((v, i) => Math.abs(v - D50[i]!) > 0.05)) return null;
    return {
      curves: curves as MatrixProfile['curves'],
      toXyz: [0, 1, 2].map((i) => [r[i]!, g[i]!, b[i]!]) as Matrix,
    };
  });
