import { asc, desc, eq } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Tick } from '@/core/pack';
import type { Reading, Writing } from '../database';
import { Refused } from '../refused';
import { customers, documents, orderEvents, orders, papers, works } from '../schema';
import type { DocumentKind, OrderEventKind } from '../schema';
import { reserveImpression, shipImpression } from '../edition/editions';
import { addLogLine } from '../log/log';

export type Customer = typeof customers.$inferSelect;
export type OrderRow = typeof orders.$inferSelect;
export type DocumentRow = typeof documents.$inferSelect;

/** An order with how far it has come, derived from its events. */
export interface Order extends OrderRow {
  customer: Customer;
  work: string;
  paper: string;
  ticks: Tick[];
  weighed: number | null;
  label: { carrier: string; service: string; tracking: string; cost: number } | null;
  shippedAt: string | null;
}

export type NewOrder = Omit<OrderRow, 'id' | 'number' | 'customerId'> & {
  customer: Omit<Customer, 'id'>;
};

/** Order numbers count from here. */
const FIRST_NUMBER = 401;

/** Takes an order: customer, next order number, and the impression reserved. Throws Refused. */
export async function addOrder(tx: Writing, order: NewOrder): Promise<OrderRow> {
  const { customer, ...rest } = order;
  const [who] = await tx.insert(customers).values(customer).returning();
  const [last] = await tx
    .select({ number: orders.number })
    .from(orders)
    .orderBy(desc(orders.id))
    .limit(1);
  const number = String(Number(last?.number ?? FIRST_NUMBER - 1) + 1).padStart(4, '0');
  const [row] = await tx
    .insert(orders)
    .values({ ...rest, number, customerId: who!.id })
    .returning();
  await reserveImpression(tx, {
    editionId: order.editionId,
    series: order.series,
    number: order.impression,
    order: number,
    orderId: row!.id,
    at: order.placedAt,
  });
  await addLogLine(tx, {
    at: order.placedAt,
    what: 'order.taken',
    ...impressionOf(row!),
    detail: {
      order: number,
      customer: customer.name,
      price: order.price,
      dueOn: order.dueOn,
    },
  });
  return row!;
}

const impressionOf = (order: OrderRow) => ({
  workId: order.workId,
  sizeKey: order.sizeKey,
  editionId: order.editionId,
  series: order.series,
  impression: order.impression,
  orderId: order.id,
});

type EventRow = typeof orderEvents.$inferSelect;

function withEvents(
  row: { orders: OrderRow; customer: Customer; work: string; paper: string },
  events: EventRow[],
): Order {
  const lastOf = (kind: OrderEventKind) => events.filter((e) => e.kind === kind).at(-1);
  const label = lastOf('labelled')?.payload;
  const weighed = lastOf('weighed')?.payload.grams;
  return {
    ...row.orders,
    customer: row.customer,
    work: row.work,
    paper: row.paper,
    ticks: events
      .filter((e) => e.kind === 'tick')
      .map(({ payload: p }) => ({
        line: String(p.line),
        count: p.count === 'first' ? 'first' : 'second',
        on: p.on === true,
      })),
    weighed: weighed === undefined ? null : Number(weighed),
    label: label
      ? {
          carrier: String(label.carrier),
          service: String(label.service),
          tracking: String(label.tracking),
          cost: Number(label.cost),
        }
      : null,
    shippedAt: lastOf('shipped')?.at ?? null,
  };
}

async function select(db: Reading, wanted: SQL): Promise<Order[]> {
  const rows = await db
    .select({ orders, customer: customers, work: works.title, paper: papers.name })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .innerJoin(works, eq(works.id, orders.workId))
    .innerJoin(papers, eq(papers.id, orders.paperId))
    .where(wanted)
    .orderBy(desc(orders.id));
  const events = await db
    .select({ event: orderEvents })
    .from(orderEvents)
    .innerJoin(orders, eq(orders.id, orderEvents.orderId))
    .where(wanted)
    .orderBy(asc(orderEvents.id));
  const byOrder = new Map<number, EventRow[]>();
  for (const { event } of events) {
    const list = byOrder.get(event.orderId);
    if (list) list.push(event);
    else byOrder.set(event.orderId, [event]);
  }
  return rows.map((row) => withEvents(row, byOrder.get(row.orders.id) ?? []));
}

export const ordersOf = (db: Reading, workId: number) =>
  select(db, eq(orders.workId, workId));
export const getOrder = async (db: Reading, number: string): Promise<Order | undefined> =>
  (await select(db, eq(orders.number, number)))[0];

/** Records something that happened to an order. */
export async function addOrderEvent(
  tx: Writing,
  order: OrderRow,
  kind: OrderEventKind,
  payload: EventRow['payload'],
  at: string,
): Promise<void> {
  await tx.insert(orderEvents).values({ orderId: order.id, kind, payload, at });
  // Each tick is a fact, but one line in the log for every tick would drown the story.
  if (kind === 'tick') return;
  await addLogLine(tx, {
    at,
    what: `order.${kind}`,
    ...impressionOf(order),
    detail: {
      order: order.number,
      ...Object.fromEntries(Object.entries(payload).map(([k, v]) => [k, String(v)])),
    },
  });
}

/** Marks a labelled order as shipped; its number is sold from now on. Throws Refused. */
export async function shipOrder(tx: Writing, number: string, at: string): Promise<Order> {
  const order = await getOrder(tx, number);
  if (!order) throw new Refused('noOrder');
  if (order.shippedAt) throw new Refused('alreadyShipped');
  if (!order.label) throw new Refused('noLabel');
  await shipImpression(tx, {
    editionId: order.editionId,
    series: order.series,
    number: order.impression,
    order: order.number,
    orderId: order.id,
    at,
  });
  await addOrderEvent(tx, order, 'shipped', { tracking: order.label.tracking }, at);
  return order;
}

export async function addDocument(
  tx: Writing,
  document: {
    orderId: number;
    kind: DocumentKind;
    name: string;
    sha256: string;
    at: string;
  },
): Promise<void> {
  await tx.insert(documents).values(document);
}

/** Newest document of each kind of an order. */
export async function documentsOf(db: Reading, orderId: number): Promise<DocumentRow[]> {
  const rows = await db
    .select()
    .from(documents)
    .where(eq(documents.orderId, orderId))
    .orderBy(asc(documents.id));
  return [...new Map(rows.map((r) => [r.kind, r])).values()];
}

export const getDocument = (db: Reading, id: number): Promise<DocumentRow | undefined> =>
  db.query.documents.findFirst({ where: eq(documents.id, id) });
