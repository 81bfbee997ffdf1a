/** What the user says of a speck; `open` takes an earlier word back. */
export const SPECK_VERDICTS = ['mended', 'partOfPicture', 'ignored', 'open'] as const;
export type SpeckVerdict = (typeof SPECK_VERDICTS)[number];

/** A place in a file, pixels. */
export interface SpeckPlace {
  x: number;
  y: number;
  diameter: number;
}

/** A verdict, and the size of the file it was given for. */
export interface GivenVerdict extends SpeckPlace {
  verdict: SpeckVerdict;
  width: number;
  height: number;
}

/** A speck is the same when it lies within this of the place, pixels, or within its own diameter. */
const SAME = 8;

interface PixelSize {
  width: number;
  height: number;
}

/**
 * How much larger one version of a file is than another; null when their proportions differ.
 * @example scaleBetween({ width: 4000, height: 3000 }, { width: 8000, height: 6000 }) // 2
 */
export function scaleBetween(from: PixelSize, to: PixelSize): number | null {
  const off = (from.width / from.height) * (to.height / to.width) - 1;
  return Math.abs(off) < 0.002 ? to.width / from.width : null;
}

/** Whether a speck of another version, so much smaller, is the one at this place. */
export const samePlace = (speck: SpeckPlace, other: SpeckPlace, scale: number): boolean =>
  Math.hypot(other.x * scale - speck.x, other.y * scale - speck.y) <=
  Math.max(SAME, speck.diameter, other.diameter * scale);

/**
 * The newest verdict for each speck by its place; `given` newest last. Verdicts on another
 * version of the same proportion are carried over, scaled to this one's size.
 */
export function verdictsFor(
  specks: readonly SpeckPlace[],
  given: readonly GivenVerdict[],
  size: PixelSize,
): SpeckVerdict[] {
  const newestFirst = [...given].reverse().flatMap((g) => {
    const scale = scaleBetween(g, size);
    return scale === null ? [] : [{ ...g, scale }];
  });
  return specks.map(
    (speck) => newestFirst.find((g) => samePlace(speck, g, g.scale))?.verdict ?? 'open',
  );
}
