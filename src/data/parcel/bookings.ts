import { and, desc, eq, gte, isNull, or, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { bookingEvents, bookings, orders, parcels } from '../schema';
import type { VoidReason } from '../schema';

export type Booking = typeof bookings.$inferSelect;

/** Notes that a carrier is to be booked, before it is asked. */
export const addBooking = (tx: Writing, booking: Omit<Booking, 'id'>): Promise<Booking> =>
  record(tx, bookings, booking, null);

/** Notes that a booking has its sealed parcel. */
export async function keepBooking(tx: Writing, id: number, at: string): Promise<void> {
  await tx.insert(bookingEvents).values({ bookingId: id, kind: 'kept', why: 'sealed', at });
}

/** Notes that a booking is not wanted any more; its carrier is told next. */
export async function dropBooking(
  tx: Writing,
  { id }: Booking,
  why: VoidReason,
  at: string,
): Promise<void> {
  await tx.insert(bookingEvents).values({ bookingId: id, kind: 'dropped', why, at });
}

/** Notes that a booking was voided, and why. */
export async function voidBooking(
  tx: Writing,
  booking: Booking,
  why: VoidReason,
  at: string,
): Promise<void> {
  const [order] = await tx
    .select({ id: orders.id, number: orders.number })
    .from(parcels)
    .innerJoin(orders, eq(orders.id, parcels.orderId))
    .where(eq(parcels.id, booking.parcelId));
  await record(
    tx,
    bookingEvents,
    { bookingId: booking.id, kind: 'voided', why, at },
    {
      at,
      what: 'booking.voided',
      orderId: order?.id,
      detail: { order: order?.number ?? '', carrier: booking.carrier, why },
    },
  );
}

const last = sql`(SELECT max(e.id) FROM booking_event e WHERE e.booking_id = ${bookings.id})`;

/** A booking that is neither kept nor voided, with why it was dropped; null: nothing became of it yet. */
export interface PendingBooking {
  booking: Booking;
  why: VoidReason | null;
}

const pending = (db: Reading) =>
  db
    .select({ booking: bookings, why: bookingEvents.why })
    .from(bookings)
    .leftJoin(bookingEvents, eq(bookingEvents.id, last));
const isPending = or(isNull(bookingEvents.id), eq(bookingEvents.kind, 'dropped'));

/** Bookings that a server left when it stopped: without their parcel, or dropped but not voided. */
export const pendingBookings = (db: Reading): Promise<PendingBooking[]> =>
  pending(db).where(isPending) as Promise<PendingBooking[]>;

/** Whether nothing became of a booking yet. */
export async function isBooked(db: Reading, { id }: Booking): Promise<boolean> {
  const [row] = await pending(db).where(and(eq(bookings.id, id), isPending));
  return row?.why === null;
}

/** The booking that a parcel's sealing was kept with; undefined where there is none. */
export async function keptBooking(
  db: Reading,
  parcelId: number,
): Promise<Booking | undefined> {
  const [row] = await db
    .select({ booking: bookings })
    .from(bookings)
    .innerJoin(bookingEvents, eq(bookingEvents.id, last))
    .where(and(eq(bookings.parcelId, parcelId), eq(bookingEvents.kind, 'kept')));
  return row?.booking;
}

/** Bookings that had to be voided since a day because the server stopped, of orders not gone yet. */
export const voidedAtStart = (
  db: Reading,
  since: string,
  limit: number,
): Promise<{ order: string; carrier: string; at: string }[]> =>
  db
    .select({ order: orders.number, carrier: bookings.carrier, at: bookingEvents.at })
    .from(bookingEvents)
    .innerJoin(bookings, eq(bookings.id, bookingEvents.bookingId))
    .innerJoin(parcels, eq(parcels.id, bookings.parcelId))
    .innerJoin(orders, eq(orders.id, parcels.orderId))
    .where(
      and(
        eq(bookingEvents.why, 'stopped'),
        gte(bookingEvents.at, since),
        sql`EXISTS (SELECT 1 FROM order_now n WHERE n.order_id = ${orders.id} AND n.state = 'open')`,
      ),
    )
    .orderBy(desc(bookingEvents.id))
    .limit(limit);

/** Bookings of an order that were voided without its parcel, newest first. */
export const voidedOf = (
  db: Reading,
  orderId: number,
): Promise<{ carrier: string; why: string; at: string }[]> =>
  db
    .select({ carrier: bookings.carrier, why: bookingEvents.why, at: bookingEvents.at })
    .from(bookingEvents)
    .innerJoin(bookings, eq(bookings.id, bookingEvents.bookingId))
    .innerJoin(parcels, eq(parcels.id, bookings.parcelId))
    .where(and(eq(parcels.orderId, orderId), eq(bookingEvents.why, 'stopped')))
    .orderBy(desc(bookingEvents.id))
    .limit(3);
