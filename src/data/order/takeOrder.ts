import { desc, eq, sql } from 'drizzle-orm';
import type { Addressee } from '@/core/order';
import type { Writing } from '../reading';
import { releaseImpression, reserveImpression } from '../edition/editions';
import type { OrderedImpression } from '../edition/editions';
import { refuseLentOut } from '../consign/consignments';
import { record } from '../log/log';
import type { NewLogLine } from '../log/log';
import { orderEvents, orderLines, orders, parcels } from '../schema';
import type { OrderEventKind } from '../schema';
import { customerFor } from './customers';
import type { OrderEvent, OrderLineRow, OrderRow } from './orders';

/** Order numbers count from here. */
const FIRST_NUMBER = 401;

export type NewOrder = Omit<OrderRow, 'id' | 'number' | 'customerId'> & {
  customer: Addressee;
};
export type NewLine = Omit<OrderLineRow, 'id' | 'orderId' | 'at'>;

/** What a line of the log book says of a line of an order. */
const about = (line: OrderLineRow | null, orderId: number): Partial<NewLogLine> => ({
  workId: line?.workId ?? undefined,
  sizeKey: line?.sizeKey ?? undefined,
  editionId: line?.editionId ?? undefined,
  series: line?.series ?? undefined,
  impression: line?.impression ?? undefined,
  orderId,
});

/** The impression that a line holds; null where it holds none. */
export const heldBy = (
  line: Pick<OrderLineRow, 'editionId' | 'series' | 'impression'>,
  order: Pick<OrderRow, 'id' | 'number'>,
  at: string,
): OrderedImpression | null =>
  line.editionId !== null && line.series !== null && line.impression !== null
    ? {
        editionId: line.editionId,
        series: line.series,
        number: line.impression,
        order: order.number,
        orderId: order.id,
        at,
      }
    : null;

/**
 * Takes an order with its first line, which lies in its first parcel: its customer found again
 * or new, and the next order number. Throws Refused.
 */
export async function takeOrder(
  tx: Writing,
  order: NewOrder,
  line: NewLine,
): Promise<OrderRow> {
  const { customer, ...rest } = order;
  const who = await customerFor(tx, customer);
  const [last] = await tx
    .select({ number: orders.number })
    .from(orders)
    .orderBy(desc(orders.id))
    .limit(1);
  const number = String(Number(last?.number ?? FIRST_NUMBER - 1) + 1).padStart(4, '0');
  const at = order.placedAt;
  const taken = await record(
    tx,
    orders,
    { ...rest, number, customerId: who.id },
    ({ id }) => ({
      at,
      what: 'order.taken',
      orderId: id,
      detail: { order: number, customer: who.name, dueOn: order.dueOn },
    }),
  );
  const first = await addOrderLine(tx, taken, line, at);
  await layLine(tx, taken, first, await beginParcel(tx, taken.id, at), at);
  return taken;
}

/** Adds a line to an order; a numbered impression is reserved for it. Throws Refused. */
export async function addOrderLine(
  tx: Writing,
  order: Pick<OrderRow, 'id' | 'number'>,
  line: NewLine,
  at: string,
): Promise<OrderLineRow> {
  const values = { ...line, orderId: order.id, at };
  const row = await record(tx, orderLines, values, (made) => ({
    at,
    what: 'order.line',
    ...about(made, order.id),
    detail: {
      order: order.number,
      kind: line.kind,
      name: line.name,
      quantity: line.quantity,
      price: line.price,
      currency: line.currency,
    },
  }));
  const held = heldBy(row, order, at);
  if (held) {
    const of = await tx.query.orders.findFirst({ where: eq(orders.id, order.id) });
    await refuseLentOut(tx, held, of?.channel ?? null);
    await reserveImpression(tx, held);
  }
  return row;
}

/** Records what happened to an order, one of its lines or one of its parcels. */
export async function addOrderEvent(
  tx: Writing,
  order: Pick<OrderRow, 'id' | 'number'>,
  event: Pick<OrderEvent, 'kind' | 'payload'> & {
    line?: OrderLineRow;
    parcelId?: number;
  },
  at: string,
): Promise<void> {
  const { kind, payload, line, parcelId } = event;
  const said: Record<string, string | number> = {};
  for (const [key, value] of Object.entries(payload))
    said[key] = typeof value === 'number' ? value : String(value);
  await record(
    tx,
    orderEvents,
    {
      orderId: order.id,
      lineId: line?.id ?? null,
      parcelId: parcelId ?? null,
      kind,
      payload,
      at,
    },
    // Each tick is a fact, but one line in the log for every tick would drown the story.
    QUIET.has(kind)
      ? null
      : {
          at,
          what: `order.${kind}`,
          ...about(line ?? null, order.id),
          detail: { order: order.number, ...said },
        },
  );
}

const QUIET: ReadonlySet<OrderEventKind> = new Set(['tick', 'laid']);

/** Takes a line out of its order, and gives its number back to the edition. Throws Refused. */
export async function removeOrderLine(
  tx: Writing,
  order: Pick<OrderRow, 'id' | 'number'>,
  line: OrderLineRow,
  at: string,
): Promise<void> {
  const held = heldBy(line, order, at);
  if (held) await releaseImpression(tx, held);
  await addOrderEvent(tx, order, { kind: 'removed', payload: {}, line }, at);
}

/** Begins a parcel of an order. */
export async function beginParcel(
  tx: Writing,
  orderId: number,
  at: string,
): Promise<number> {
  const [last] = await tx
    .select({ place: sql<number>`coalesce(max(${parcels.place}), 0)` })
    .from(parcels)
    .where(eq(parcels.orderId, orderId));
  const place = 1 + (last?.place ?? 0);
  const [row] = await tx
    .insert(parcels)
    .values({ orderId, place, at })
    .returning({ id: parcels.id });
  return row!.id;
}

/** Lays a line into a parcel of its order. */
export const layLine = (
  tx: Writing,
  order: Pick<OrderRow, 'id' | 'number'>,
  line: OrderLineRow,
  parcelId: number,
  at: string,
): Promise<void> =>
  addOrderEvent(tx, order, { kind: 'laid', payload: {}, line, parcelId }, at);
