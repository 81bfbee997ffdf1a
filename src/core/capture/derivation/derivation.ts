import type { FlatField } from '../evenness';
import type { Corners } from '../geometry';

/**
 * How a picture is derived from a master: the part between four corners (pixels of the
 * master) made a rectangle, and the light evened out. The master itself stays as it is.
 */
export interface Derivation {
  corners: Corners | null;
  flatField: FlatField | null;
}

/**
 * Width and height of what is derived, pixels: means of opposite sides, rounded.
 * @example derivedSize({ width: 4000, height: 3000 }, { corners: null }) // { width: 4000, height: 3000 }
 */
export function derivedSize(
  master: { width: number; height: number },
  { corners }: Pick<Derivation, 'corners'>,
): { width: number; height: number } {
  if (!corners) return { width: master.width, height: master.height };
  const [a, b, c, d] = corners;
  const side = (p: typeof a, q: typeof a) => Math.hypot(p.x - q.x, p.y - q.y);
  return {
    width: Math.max(1, Math.round((side(a, b) + side(d, c)) / 2)),
    height: Math.max(1, Math.round((side(a, d) + side(b, c)) / 2)),
  };
}

/**
 * How far the proportions of a picture that was squared up by its corners can be off, as a share:
 * by so much a camera that was tilted by an angle (degrees) saw the tilted side shorter. The
 * corners do not tell the angle, so it cannot be taken out.
 * @example foreshortening(60).toFixed(2) // '0.50'
 */
export const foreshortening = (degrees: number): number =>
  1 - Math.cos((degrees * Math.PI) / 180);
