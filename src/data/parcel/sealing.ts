import type { SealedParcel } from '@/core/pack';
import type { Writing } from '../reading';
import { endConsigned, outThere } from '../consign/consignments';
import { shipImpression } from '../edition/editions';
import { record } from '../log/log';
import { moveStock } from '../stock/stock';
import { salesOf } from '../order/lineSales';
import { addOrderEvent, heldBy } from '../order/takeOrder';
import type { Order, OrderLine, ParcelOf, SealedRow } from '../order/orders';
import { documents, lineSales, sealedParcels } from '../schema';
import { isBooked, keepBooking } from './bookings';
import type { Booking } from './bookings';
import { Refused } from '../refused';

/** What sealing a parcel writes down. */
export interface Sealing extends Omit<SealedRow, 'id' | 'parcelId' | 'contents'> {
  contents: SealedParcel;
  documents: Omit<typeof documents.$inferInsert, 'id' | 'orderId' | 'parcelId' | 'at'>[];
  /** Material taken from the shelf, with how many pieces. */
  used: { id: number; name: string; pieces: number }[];
  /** Null of what is given in hand. */
  booking: Booking | null;
}

/** A print that was lent out is out no more once it is sold. */
async function endLent(
  tx: Writing,
  order: Pick<Order, 'id' | 'number'>,
  line: OrderLine,
  at: string,
): Promise<void> {
  const held = heldBy(line, order, at);
  if (held && line.workId !== null && (await outThere(tx, held)))
    await endConsigned(
      tx,
      { ...held, workId: line.workId },
      { kind: 'sold', lineId: line.id, at },
    );
}

/**
 * Writes a sealed parcel down: as it was, what it left, its documents, what it took from the
 * shelf. Throws Refused where its booking was voided meanwhile.
 */
export async function sealParcel(
  tx: Writing,
  order: Order,
  parcel: Pick<ParcelOf, 'id' | 'place'>,
  { documents: made, used, booking, ...sealed }: Sealing,
): Promise<void> {
  const { at } = sealed;
  if (booking && !(await isBooked(tx, booking))) throw new Refused('changedMeanwhile');
  await record(
    tx,
    sealedParcels,
    { ...sealed, parcelId: parcel.id },
    {
      at,
      what: 'order.sealed',
      orderId: order.id,
      detail: {
        order: order.number,
        parcel: parcel.place,
        carrier: sealed.carrier,
        service: sealed.service,
        tracking: sealed.tracking,
        way: sealed.contents.way,
        cost: sealed.cost,
        currency: sealed.currency,
      },
    },
  );
  const { lines } = sealed.contents;
  const own = order.lines.filter((l) => lines.some((s) => s.line === l.id));
  for (const sale of await salesOf(tx, order, own, sealed.cost))
    await tx.insert(lineSales).values({ ...sale, at });
  for (const line of own) await endLent(tx, order, line, at);
  for (const document of made)
    await tx
      .insert(documents)
      .values({ ...document, orderId: order.id, parcelId: parcel.id, at });
  for (const { id, name, pieces } of used)
    await moveStock(tx, {
      of: 'material',
      ref: id,
      pieces: -pieces,
      reason: `order ${order.number}, ${name}`,
      at,
    });
  if (booking) await keepBooking(tx, booking.id, at);
}

/** Marks a sealed parcel as shipped on a day of the studio; its numbers are sold from now on. Throws Refused. */
export async function shipParcel(
  tx: Writing,
  order: Order,
  parcel: ParcelOf,
  { at, on }: { at: string; on: string },
): Promise<void> {
  if (parcel.shippedAt) throw new Refused('alreadyShipped');
  if (!parcel.sealed) throw new Refused('noLabel');
  const lines: OrderLine[] = order.lines.filter(
    (l) => l.parcelId === parcel.id && l.state === 'open',
  );
  for (const line of lines) {
    const held = heldBy(line, order, at);
    if (held) await shipImpression(tx, held);
  }
  const { tracking, contents } = parcel.sealed;
  await addOrderEvent(
    tx,
    order,
    {
      kind: 'shipped',
      payload: { parcel: parcel.place, tracking, way: contents.way, on },
      parcelId: parcel.id,
    },
    at,
  );
}
