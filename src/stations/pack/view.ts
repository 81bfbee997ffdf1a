import { ticked } from '@/core/pack';
import { documentsOf, getOrder, ordersOf } from '@/data';
import { loadWorkPage, now } from '@/studio';
import { reckonParcel } from './parcel';

/** The pack station: the orders of a work, one of them on the table. */
export async function loadPack(id: string, query: Record<string, string | undefined>) {
  const { work, db, master } = await loadWorkPage(id);
  const orders = await ordersOf(db, work.id);
  const asked = query.order ? await getOrder(db, query.order) : undefined;
  const open = orders.filter((o) => o.shippedAt === null);
  const order =
    (asked?.workId === work.id ? asked : undefined) ??
    [...open].sort((a, b) => a.dueOn.localeCompare(b.dueOn))[0] ??
    orders[0] ??
    null;
  const reckoned = order && (await reckonParcel(db, order));
  const on = order && ticked(order.ticks);
  return {
    work,
    preview: master?.preview ?? null,
    today: now().slice(0, 10),
    orders: orders.map((o) => ({
      number: o.number,
      customer: o.customer.name,
      dueOn: o.dueOn,
      shipped: o.shippedAt !== null,
    })),
    order,
    ticks: on && { first: [...on.first], second: [...on.second] },
    reckoned: reckoned && { ...reckoned, edition: null },
    documents: order ? await documentsOf(db, order.id) : [],
  };
}

export type PackView = Awaited<ReturnType<typeof loadPack>>;
