import { customerKey } from '@/core/order';
import { minor } from '@/core/units';
import type { Writing } from '@/data';
import * as t from '@/data/schema';
import { insert } from './insert';
import { LAST, NAMES, TOWNS, day, pick } from './largeFacts';

export interface LargeOrder {
  id: number;
  work: number;
  k: number;
}

const customerOf = ({ id }: LargeOrder) => ({
  name: `${pick(NAMES, id)} ${pick(LAST, Math.floor(id / 10))}-${id}`,
  street: `${id} Quay`,
  town: pick(TOWNS, id),
  country: 'Saltmark',
});

/** Orders of one line each in one parcel, most of them sealed and gone. */
export async function insertOrders(
  tx: Writing,
  orders: readonly LargeOrder[],
  {
    size,
    shipped,
  }: { size: (work: number) => string; shipped: (work: number, k: number) => boolean },
): Promise<void> {
  const gone = orders.filter(({ work, k }) => shipped(work, k));
  // A long life is ten years of trade, most of them past.
  const [days, before] = orders.length > 20_000 ? [3650, 3000] : [600, 0];
  const at = (id: number, after = 0) => day((id % days) - before + after);
  await insert(
    tx,
    t.customers,
    orders.map((o) => ({ ...customerOf(o), key: customerKey(customerOf(o)) })),
  );
  await insert(
    tx,
    t.orders,
    orders.map(({ id }) => ({
      number: String(400 + id).padStart(4, '0'),
      customerId: id,
      channel: pick(['own site', 'gallery', 'fair'], id),
      wish: '',
      note: '',
      extras: [],
      placedAt: at(id),
      dueOn: at(id, 5).slice(0, 10),
    })),
  );
  await insert(
    tx,
    t.orderLines,
    orders.map(({ id, work, k }) => ({
      orderId: id,
      kind: 'impression',
      workId: work,
      sizeKey: size(work),
      paperId: 1 + (work % 12),
      editionId: work,
      series: 'number',
      impression: k + 1,
      quantity: 1,
      price: minor(20_000 + work),
      currency: 'EUR',
      at: at(id),
    })),
  );
  await insert(
    tx,
    t.parcels,
    orders.map(({ id }) => ({ orderId: id, place: 1, at: at(id) })),
  );
  const event = { payload: {} };
  await insert(
    tx,
    t.orderEvents,
    orders.map(({ id }) => ({
      ...event,
      orderId: id,
      lineId: id,
      parcelId: id,
      kind: 'laid',
      at: at(id),
    })),
  );
  await insert(
    tx,
    t.sealedParcels,
    gone.map((o) => ({
      parcelId: o.id,
      carrier: 'Lantern Post',
      service: 'Tube',
      tracking: `LP${o.id}`,
      cost: 900,
      currency: 'EUR',
      weighed: 400,
      contents: {
        way: 'rolled',
        notFlat: [],
        spare: null,
        parts: null,
        total: null,
        outside: null,
        tolerance: null,
        lines: [],
        to: customerOf(o),
        quotes: [],
        note: '',
      },
      at: at(o.id, 2),
    })),
  );
  await insert(
    tx,
    t.lineSales,
    gone.map(({ id }) => ({
      lineId: id,
      cost: 4000,
      fees: 900,
      postage: 900,
      basis: 'kept',
      currency: 'EUR',
      at: at(id, 2),
    })),
  );
  await insert(
    tx,
    t.orderEvents,
    gone.map(({ id }) => ({
      orderId: id,
      lineId: null,
      parcelId: id,
      kind: 'shipped',
      payload: { tracking: `LP${id}` },
      at: at(id, 3),
    })),
  );
}
