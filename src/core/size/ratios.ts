/** Ratios closer than this, as a difference of logarithms, are one: paper is cut no truer. */
const SAME = 0.004;
const MOST_PARTS = 20;

/**
 * The name of a ratio, whichever way it lies: `4:5`, `2:3`, `1:√2`; the simplest whole
 * numbers within 0.4 %, else `1:1.273`. Sizes of one name share one crop.
 * @example ratioName({ width: 5000, height: 4000 }) // '4:5'
 */
export function ratioName(s: { width: number; height: number }): string {
  const ratio = Math.max(s.width, s.height) / Math.min(s.width, s.height);
  const is = (other: number) => Math.abs(Math.log(ratio / other)) < SAME;
  for (let short = 1; short <= MOST_PARTS; short += 1) {
    const long = Math.round(ratio * short);
    if (long <= MOST_PARTS && is(long / short)) return `${short}:${long}`;
    // Before the finer fractions that come close to it as well.
    if (short === 5 && is(Math.SQRT2)) return '1:√2';
  }
  return `1:${ratio.toFixed(3)}`;
}

/**
 * How far two proportions are apart: the difference of their logarithms.
 * @example ratioDistance(1.5, 4 / 3) // 0.1178
 */
export const ratioDistance = (a: number, b: number): number => Math.abs(Math.log(a / b));
