import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { SEALED_PARCEL } from '@/core/pack';
import type { Grams } from '@/core/units';
import { at, currency, id, money, versioned } from './columns';
import { orderLines, orders } from './order';

/** One parcel of an order; which lines lie in it is told by the order's events. */
export const parcels = sqliteTable(
  'parcel',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    /** 1, 2 ... within its order. */
    place: integer('place').notNull(),
    at: at(),
  },
  (t) => [index('parcel_of').on(t.orderId)],
);

/** A parcel as it was sealed; when it was opened and sealed again, the newest counts. */
export const sealedParcels = sqliteTable(
  'sealed_parcel',
  {
    id: id(),
    parcelId: integer('parcel_id')
      .notNull()
      .references(() => parcels.id),
    carrier: text('carrier').notNull(),
    service: text('service').notNull(),
    tracking: text('tracking').notNull(),
    cost: money('cost_minor').notNull(),
    currency: currency(),
    weighed: real('weighed_g').$type<Grams>(),
    contents: versioned('contents', SEALED_PARCEL).notNull(),
    at: at(),
  },
  (t) => [index('sealed_parcel_of').on(t.parcelId)],
);

/** A carrier that is to be booked under a reference of ours; noted before it is asked. */
export const bookings = sqliteTable(
  'booking',
  {
    id: id(),
    parcelId: integer('parcel_id')
      .notNull()
      .references(() => parcels.id),
    carrier: text('carrier').notNull(),
    service: text('service').notNull(),
    reference: text('reference').notNull().unique(),
    at: at(),
  },
  (t) => [index('booking_of').on(t.parcelId)],
);

/** What became of a booking: kept with its parcel, dropped (still to be voided), or voided. The newest counts. */
export const bookingEvents = sqliteTable(
  'booking_event',
  {
    id: id(),
    bookingId: integer('booking_id')
      .notNull()
      .references(() => bookings.id),
    kind: text('kind').$type<'kept' | 'dropped' | 'voided'>().notNull(),
    why: text('why').$type<VoidReason | 'sealed'>().notNull(),
    at: at(),
  },
  (t) => [index('booking_event_of').on(t.bookingId)],
);

/** Why a booking was voided: its write was refused, the server stopped, the parcel was opened, the order cancelled. */
export type VoidReason = 'notWritten' | 'stopped' | 'opened' | 'cancelled';

export type DocumentKind = 'certificate' | 'packing slip' | 'label';

export const documents = sqliteTable(
  'document',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    parcelId: integer('parcel_id').references(() => parcels.id),
    /** A certificate is of one line. */
    lineId: integer('line_id').references(() => orderLines.id),
    kind: text('kind').$type<DocumentKind>().notNull(),
    name: text('name').notNull(),
    sha256: text('sha256').notNull(),
    at: at(),
  },
  (t) => [index('document_of').on(t.orderId)],
);
