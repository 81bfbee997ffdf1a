import type { RouteRecord } from '@/core/price';

const times = (n: number) => (n === 1 ? 'once' : `${n} times`);

/** How much later or earlier than promised, on average, to half a day. */
function laterWords(later: number): string {
  const half = Math.round(2 * later) / 2;
  if (half === 0) return 'on its day';
  const days = `${Math.abs(half)} ${Math.abs(half) === 1 ? 'day' : 'days'}`;
  return half > 0 ? `${days} later than promised` : `${days} earlier than promised`;
}

/** What really came, beside what was promised. */
export function recordWords({
  times: n,
  quantity,
  faulty,
  dearer,
  later,
}: RouteRecord): string {
  const share = dearer === null ? null : Math.round(100 * dearer);
  return [
    `came ${times(n)}`,
    ...(later === null ? [] : [laterWords(later)]),
    ...(share === null
      ? []
      : [
          share === 0
            ? 'at its price'
            : `${Math.abs(share)} % ${share > 0 ? 'dearer' : 'cheaper'} than promised`,
        ]),
    faulty === 0 ? `none of ${quantity} faulty` : `${faulty} of ${quantity} faulty`,
  ].join(', ');
}
