import { refusesChange, refusesLineChange } from '@/core/order';
import { Refused, getOrder } from '@/data';
import type { Order, OrderLine, ParcelOf, Reading } from '@/data';

/** An order inside a write. Throws Refused where it is not there. */
export async function theOrder(tx: Reading, number: string): Promise<Order> {
  const order = await getOrder(tx, number);
  if (!order) throw new Refused('noOrder');
  return order;
}

/** The same, where it may still change. */
export async function openOrder(tx: Reading, number: string): Promise<Order> {
  const order = await theOrder(tx, number);
  const refused = refusesChange(order.state);
  if (refused) throw new Refused(refused);
  return order;
}

/** How a line stands with its parcel. */
export function standsOf(order: Order, line: OrderLine) {
  const parcel = order.parcels.find((p) => p.id === line.parcelId);
  return {
    state: line.state,
    sealed: Boolean(parcel?.sealed),
    shipped: Boolean(line.shippedAt),
  };
}

/** A line of an order. Throws Refused where it is not there. */
export function theLine(order: Order, id: number): OrderLine {
  const line = order.lines.find((l) => l.id === id);
  if (!line) throw new Refused('noLine');
  return line;
}

/** The same, where it may still change. */
export function openLine(order: Order, id: number): OrderLine {
  const line = theLine(order, id);
  const refused = refusesLineChange(order.state, standsOf(order, line));
  if (refused) throw new Refused(refused);
  return line;
}

/** A parcel of an order. Throws Refused where it is not there. */
export function theParcel(order: Order, id: number): ParcelOf {
  const parcel = order.parcels.find((p) => p.id === id);
  if (!parcel) throw new Refused('noParcel');
  return parcel;
}

/** The same, where it is not sealed. */
export function openParcel(order: Order, id: number): ParcelOf {
  const parcel = theParcel(order, id);
  if (parcel.sealed) throw new Refused('sealed');
  return parcel;
}
