import type { Vector } from './matrix';

const HEADER = 128;

/** Four letters of a profile: a signature. */
export const asciiAt = (icc: Uint8Array, at: number) =>
  String.fromCharCode(...icc.subarray(at, at + 4));

/** Where the tags of a profile lie, by their names (ICC.1:2010, 7.3). */
export function tagsOf(icc: Uint8Array, view: DataView): Map<string, number> {
  const tags = new Map<string, number>();
  const count = Math.min(100, view.getUint32(HEADER));
  for (let i = 0; i < count; i += 1)
    tags.set(asciiAt(icc, HEADER + 4 + i * 12), view.getUint32(HEADER + 8 + i * 12));
  return tags;
}

/** The numbers of an XYZ tag. */
export const xyzAt = (view: DataView, at: number): Vector =>
  [0, 1, 2].map((i) => view.getInt32(at + 8 + i * 4) / 65536) as Vector;

const viewOf = (icc: Uint8Array) =>
  new DataView(icc.buffer, icc.byteOffset, icc.byteLength);

/** What a profile holds, or null where it breaks off. */
export function readWhole<T>(icc: Uint8Array, of: (view: DataView) => T | null): T | null {
  try {
    return of(viewOf(icc));
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
