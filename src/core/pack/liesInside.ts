import type { Size } from '../units';

/** Short side, then long side, mm. */
export const sides = (s: Size): [number, number] =>
  s.width <= s.height ? [s.width, s.height] : [s.height, s.width];

/**
 * Does `inner` lie inside `outer`, in either orientation, with `play` mm to spare in all?
 * @example liesInside(size(500, 400), size(410, 510), 6) // true
 */
export function liesInside(inner: Size, outer: Size, play: number): boolean {
  const [a, b] = sides(inner);
  const [c, d] = sides(outer);
  return a + play <= c + 1e-9 && b + play <= d + 1e-9;
}
