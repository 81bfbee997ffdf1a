/** Months since year 0 of `YYYY-MM…`. */
const monthOf = (at: string): number =>
  12 * Number(at.slice(0, 4)) + Number(at.slice(5, 7)) - 1;

/**
 * What was ordered in each whole month from the first in which it could be to the one before
 * today, the last `most` of them; months without an order are 0. Days and months are ISO.
 * @example monthCounts([{ month: '2026-08', pieces: 2 }], '2026-07-20', '2026-11-03', 24) // [0, 2, 0, 0]
 */
export function monthCounts(
  ordered: readonly { month: string; pieces: number }[],
  since: string,
  today: string,
  most: number,
): number[] {
  const end = monthOf(today);
  const first = Math.max(
    end - most,
    Math.min(monthOf(since), ...ordered.map((o) => monthOf(o.month))),
  );
  const counts = Array.from({ length: Math.max(0, end - first) }, () => 0);
  for (const { month, pieces } of ordered) {
    const at = monthOf(month) - first;
    if (at >= 0 && at < counts.length) counts[at]! += pieces;
  }
  return counts;
}
