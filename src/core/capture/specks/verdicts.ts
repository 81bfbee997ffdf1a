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

/**
 * The newest verdict for each speck by its place; `given` newest last. Verdicts on another
 * version of the same proportion are carried over, scaled to this one's size.
 */
export function verdictsFor(
  specks: readonly SpeckPlace[],
  given: readonly GivenVerdict[],
  { width, height }: { width: number; height: number },
): SpeckVerdict[] {
  const fitting = given.filter(
    (g) => Math.abs((g.width / g.height) * (height / width) - 1) < 0.002,
  );
  return specks.map((speck) => {
    for (let i = fitting.length - 1; i >= 0; i -= 1) {
      const g = fitting[i]!;
      const scale = width / g.width;
      const reach = Math.max(SAME, speck.diameter, g.diameter * scale);
      if (Math.hypot(g.x * scale - speck.x, g.y * scale - speck.y) <= reach)
        return g.verdict;
    }
    return 'open';
  });
}
