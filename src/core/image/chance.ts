/** Repeatable chance, 0..1: the same seed gives the same numbers (mulberry32). */
export type Chance = () => number;

/** @example chance(7)() === chance(7)() // true */
export function chance(seed: number): Chance {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
