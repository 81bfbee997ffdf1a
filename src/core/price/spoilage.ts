/** Fewer prints tell too little. Rule of thumb. */
const LEAST_PRINTED = 20;

/**
 * The share of all prints that was spoiled, 0..1; null where too few were printed to tell.
 * `good`: numbers that are out; `spoiled`: impressions that were spoiled and destroyed.
 * @example measuredSpoilage({ good: 57, spoiled: 3 }) // 0.05
 * @example measuredSpoilage({ good: 5, spoiled: 1 }) // null
 */
export function measuredSpoilage({
  good,
  spoiled,
}: {
  good: number;
  spoiled: number;
}): number | null {
  const printed = good + spoiled;
  return printed < LEAST_PRINTED ? null : spoiled / printed;
}
