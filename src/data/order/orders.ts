import { asc, desc, eq } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Addressee, LineKind, LineState, OrderState } from '@/core/order';
import type { Extra, Tick } from '@/core/pack';
import { grams } from '@/core/units';
import type { Grams, GramsPerSquareMetre, Millimetres, Minor } from '@/core/units';
import type { Reading } from '../reading';
import {
  customers,
  lineNow,
  orderEvents,
  orderLines,
  orderNow,
  orders,
  papers,
  parcelNow,
  parcels,
  sealedParcels,
  works,
} from '../schema';
import type { OrderEventKind } from '../schema';
import { addressOf } from './customers';
import type { Customer } from './customers';

export type OrderRow = typeof orders.$inferSelect;
export type OrderLineRow = typeof orderLines.$inferSelect;
export type OrderEvent = typeof orderEvents.$inferSelect;
export type SealedRow = typeof sealedParcels.$inferSelect;

/** What a paper tells whoever packs or certifies a print on it. */
export type PaperTraits = Pick<
  typeof papers.$inferSelect,
  | 'acidFree'
  | 'scuffs'
  | 'leastRoll'
  | 'permanenceYears'
  | 'permanenceSource'
  | 'permanenceDisplay'
>;

/** A line of an order as it stands. */
export interface OrderLine extends Omit<OrderLineRow, 'price'> {
  kind: LineKind;
  state: LineState;
  /** What it costs now; the row's own price is that of the day it was taken. */
  price: Minor;
  refund: Minor;
  parcelId: number | null;
  shippedAt: string | null;
  /** Title of the work; empty for goods. */
  work: string;
  paper: string;
  paperWeight: GramsPerSquareMetre | null;
  paperThickness: Millimetres | null;
  /** How its paper is handled, and how long it lasts; null of goods. */
  paperTraits: PaperTraits | null;
}

/** One parcel of an order with what was done to it. */
export interface ParcelOf {
  id: number;
  place: number;
  ticks: Tick[];
  weighed: Grams | null;
  /** As it was sealed; null while it is open. */
  sealed: SealedRow | null;
  shippedAt: string | null;
}

/** An order with how far it has come, derived from its events. */
export interface Order extends OrderRow {
  state: OrderState;
  customer: Customer;
  /** Where it goes: the customer's address, or the one it was changed to. */
  to: Addressee;
  /** As they were last said. */
  wish: string;
  note: string;
  extras: Extra[];
  lines: OrderLine[];
  parcels: ParcelOf[];
  cancelledAt: string | null;
}

const lastOf = (events: readonly OrderEvent[], kind: OrderEventKind) =>
  events.filter((e) => e.kind === kind).at(-1);

const ticksOf = (events: readonly OrderEvent[]): Tick[] =>
  events
    .filter((e) => e.kind === 'tick')
    .map(({ payload: p }) => ({
      line: String(p.line),
      count: p.count === 'first' ? 'first' : 'second',
      on: p.on === true,
    }));

/** A weight counts as long as the parcel was not opened since. */
function weighedOf(events: readonly OrderEvent[]): Grams | null {
  const since = events.slice(events.findLastIndex((e) => e.kind === 'opened') + 1);
  const weighed = lastOf(since, 'weighed')?.payload.grams;
  return weighed === undefined ? null : grams(Number(weighed));
}

async function linesOf(db: Reading, orderId: number): Promise<OrderLine[]> {
  const rows = await db
    .select({
      line: orderLines,
      now: lineNow,
      work: works.title,
      paper: papers.name,
      paperWeight: papers.weight,
      paperThickness: papers.thickness,
      paperTraits: {
        acidFree: papers.acidFree,
        scuffs: papers.scuffs,
        leastRoll: papers.leastRoll,
        permanenceYears: papers.permanenceYears,
        permanenceSource: papers.permanenceSource,
        permanenceDisplay: papers.permanenceDisplay,
      },
    })
    .from(orderLines)
    .innerJoin(lineNow, eq(lineNow.lineId, orderLines.id))
    .leftJoin(works, eq(works.id, orderLines.workId))
    .leftJoin(papers, eq(papers.id, orderLines.paperId))
    .where(eq(orderLines.orderId, orderId))
    .orderBy(asc(orderLines.id));
  return rows.map(({ line, now, work, paper, ...rest }) => ({
    ...line,
    ...rest,
    work: work ?? '',
    paper: paper ?? '',
    state: now.state,
    price: now.price,
    refund: now.refund,
    parcelId: now.parcelId,
    shippedAt: now.shippedAt,
  }));
}

async function parcelsOf(
  db: Reading,
  orderId: number,
  events: readonly OrderEvent[],
): Promise<ParcelOf[]> {
  const rows = await db
    .select({ parcel: parcels, now: parcelNow, sealed: sealedParcels })
    .from(parcels)
    .innerJoin(parcelNow, eq(parcelNow.parcelId, parcels.id))
    .leftJoin(sealedParcels, eq(sealedParcels.id, parcelNow.sealedId))
    .where(eq(parcels.orderId, orderId))
    .orderBy(asc(parcels.place));
  return rows.map(({ parcel, now, sealed }) => {
    const own = events.filter((e) => e.parcelId === parcel.id);
    return {
      id: parcel.id,
      place: parcel.place,
      ticks: ticksOf(own),
      weighed: weighedOf(own),
      sealed,
      shippedAt: now.shippedAt,
    };
  });
}

async function whole(db: Reading, wanted: SQL): Promise<Order | undefined> {
  const [row] = await db
    .select({ order: orders, now: orderNow, customer: customers })
    .from(orders)
    .innerJoin(orderNow, eq(orderNow.orderId, orders.id))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(wanted)
    .limit(1);
  if (!row) return undefined;
  const { order, now } = row;
  const merged = row.customer.mergedInto;
  const [events, lines, other] = await Promise.all([
    db
      .select()
      .from(orderEvents)
      .where(eq(orderEvents.orderId, order.id))
      .orderBy(asc(orderEvents.id)),
    linesOf(db, order.id),
    merged ? db.query.customers.findFirst({ where: eq(customers.id, merged) }) : undefined,
  ]);
  const customer = other ?? row.customer;
  const noted = lastOf(events, 'noted')?.payload;
  const said = lastOf(events, 'addressed')?.payload as unknown as Addressee | undefined;
  return {
    ...order,
    state: now.state,
    customer,
    to: addressOf(said ?? customer),
    wish: noted ? String(noted.wish) : order.wish,
    note: noted ? String(noted.note) : order.note,
    lines,
    parcels: await parcelsOf(db, order.id, events),
    cancelledAt: now.cancelledAt,
  };
}

/** One order by its number. */
export const getOrder = (db: Reading, number: string): Promise<Order | undefined> =>
  whole(db, eq(orders.number, number));

export interface OrderOfWork {
  number: string;
  customer: string;
  town: string;
  dueOn: string;
  state: OrderState;
  shippedAt: string | null;
}

/** Orders in which prints of a work go out, the open ones first, then the newest. */
export async function ordersOfWork(
  db: Reading,
  workId: number,
  limit: number,
): Promise<(OrderOfWork & { lines: OrderLine[] })[]> {
  const rows = await db
    .selectDistinct({
      id: orders.id,
      number: orders.number,
      customer: customers.name,
      town: customers.town,
      dueOn: orderNow.dueOn,
      state: orderNow.state,
      shippedAt: orderNow.shippedAt,
    })
    .from(lineNow)
    .innerJoin(orders, eq(orders.id, lineNow.orderId))
    .innerJoin(orderNow, eq(orderNow.orderId, orders.id))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(lineNow.workId, workId))
    .orderBy(desc(orders.id))
    .limit(limit);
  const RANK: Record<OrderState, number> = { open: 0, sealed: 1, shipped: 2, cancelled: 3 };
  const found = await Promise.all(
    rows.map(async ({ id, ...row }) => ({
      ...row,
      lines: (await linesOf(db, id)).filter((l) => l.workId === workId),
    })),
  );
  return found.sort(
    (a, b) =>
      RANK[a.state] - RANK[b.state] ||
      (RANK[a.state] < 2 ? a.dueOn.localeCompare(b.dueOn) : 0),
  );
}
