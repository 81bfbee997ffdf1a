import { minor } from '@/core/units';
import { takeOrder } from '@/data';
import type { NewLine, OrderRow, Writing } from '@/data';

/** One numbered impression as a line of an order. */
export const impressionLine = (
  of: Pick<NewLine, 'workId' | 'sizeKey' | 'paperId' | 'editionId' | 'impression'>,
  over: Partial<NewLine> = {},
): NewLine => ({
  kind: 'impression',
  series: 'number',
  name: null,
  mass: null,
  thickness: null,
  quantity: 1,
  price: minor(8000),
  currency: 'EUR',
  ...of,
  ...over,
});

/** Takes an order of one line in one parcel. Throws Refused. */
export async function orderOf(
  tx: Writing,
  line: NewLine,
  {
    at,
    name = 'T. Venn',
    street = '1 Lane',
    dueOn = '2026-11-05',
    channel = 'own site',
  }: { at: string; name?: string; street?: string; dueOn?: string; channel?: string },
): Promise<OrderRow> {
  const order = {
    customer: { name, street, town: '2180 Merrowstaithe', country: 'Ulverreach' },
    channel,
    wish: '',
    note: '',
    extras: [],
    placedAt: at,
    dueOn,
  };
  return takeOrder(tx, order, line);
}
