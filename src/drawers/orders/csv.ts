import { dayIn } from '@/core/days';
import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { loadOrders } from './view';

/** Orders as they are listed. */
export async function ordersCsv(query: Record<string, string | undefined>, lines: number) {
  const { page, timeZone } = await loadOrders({ ...query, new: undefined }, lines);
  const day = (at: string | null) => (at === null ? null : dayIn(at, timeZone));
  return {
    heads: [
      'order',
      'what',
      'number',
      'lines',
      'customer',
      'town',
      'placed',
      'promised',
      'left',
      'state',
      'price',
      'currency',
    ],
    rows: page.rows.map((r): CsvCell[] => [
      r.number,
      r.what,
      r.label,
      r.lines,
      r.customer,
      r.town,
      day(r.placedAt),
      r.dueOn,
      day(r.shippedAt),
      r.state,
      r.price / 10 ** currencyDigits(r.currency),
      r.currency,
    ]),
  };
}
