import { impressionLabel } from '@/core/edition';
import { daysUntil } from '@/core/days';
import {
  MOST_CHOICES,
  ORDERS_SHOWN,
  askedOf,
  customerCount,
  knownCustomers,
  orderCounts,
  ordersPage,
  readSettings,
} from '@/data';
import type { OrderLineOfList } from '@/data';
import { studio, todayOf } from '@/studio';
import { addingLine } from './addingLine';

/** How the first line's number is pencilled; empty where it has none. */
const labelOf = (o: OrderLineOfList): string =>
  o.series && o.impression && o.editionKind
    ? impressionLabel(
        { kind: o.editionKind, size: o.of ?? 0, artistsProofs: o.artistsProofs ?? 0 },
        o.series,
        o.impression,
      )
    : '';

/** The orders drawer: a page of orders, and what a new one can take. */
export async function loadOrders(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const shown = ORDERS_SHOWN.find((s) => s === query.show) ?? 'all';
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const { currency, handlingDays } = settings;
  const adding = query.new === '1';
  const [page, counts, customers, known] = await Promise.all([
    ordersPage(db, asked, shown),
    orderCounts(db, today),
    customerCount(db),
    adding ? knownCustomers(db, MOST_CHOICES) : [],
  ]);
  return {
    page: {
      ...page,
      rows: page.rows.map((o) => ({
        ...o,
        label: labelOf(o),
        days: daysUntil(o.dueOn, today),
      })),
    },
    asked,
    shown,
    counts,
    customers,
    known,
    bringing: query.bring === '1',
    adding: adding ? await addingLine(db, query, currency) : null,
    currency,
    handlingDays,
    timeZone: settings.timeZone,
  };
}

export type OrdersView = Awaited<ReturnType<typeof loadOrders>>;
