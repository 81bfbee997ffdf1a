import type { Vector } from './matrix';
import { asciiAt, readWhole, tagsOf, xyzAt } from './profileTags';

const whiteTag = (icc: Uint8Array): number | null =>
  readWhole(icc, (view) => {
    const at = tagsOf(icc, view).get('wtpt');
    return at === undefined || asciiAt(icc, at) !== 'XYZ ' ? null : at;
  });

const V4 = 4;

/**
 * The white of a profile's medium, XYZ, that an absolute intent shows; null where it is the
 * white of the connection space, as of displays (ICC.1:2010, 9.2.34; before version 4 they
 * are adapted).
 */
export function mediaWhite(icc: Uint8Array): Vector | null {
  const at = whiteTag(icc);
  if (at === null || (icc[8]! < V4 && asciiAt(icc, 12) === 'mntr')) return null;
  return readWhole(icc, (view) => xyzAt(view, at));
}

/** The profile with another white of its medium. Throws RangeError where it names none. */
export function withMediaWhite(icc: Uint8Array, white: Vector): Uint8Array {
  const at = whiteTag(icc);
  if (at === null) throw new RangeError('the profile names no white');
  const out = icc.slice();
  const view = new DataView(out.buffer);
  white.forEach((v, i) => view.setInt32(at + 8 + i * 4, Math.round(v * 65536)));
  return out;
}
