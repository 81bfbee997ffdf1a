import { dayIn } from '@/core/days';
import type { CsvCell } from '@/documents';
import { loadCustomers } from './view';

/** Customers as they are listed. */
export async function customersCsv(
  query: Record<string, string | undefined>,
  lines: number,
) {
  const { page, timeZone } = await loadCustomers({ ...query, customer: undefined }, lines);
  return {
    heads: ['customer', 'name', 'street', 'town', 'country', 'orders', 'last order'],
    rows: page.rows.map((c): CsvCell[] => [
      c.id,
      c.name,
      c.street,
      c.town,
      c.country,
      c.orders,
      c.lastAt === null ? null : dayIn(c.lastAt, timeZone),
    ]),
  };
}
