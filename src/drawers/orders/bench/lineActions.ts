'use server';
import { refusesCancel, refusesReturn } from '@/core/order';
import {
  Refused,
  addOrderEvent,
  addOrderLine,
  beginParcel,
  dropBooking,
  heldBy,
  keptBooking,
  layLine,
  releaseImpression,
  removeOrderLine,
  returnImpression,
} from '@/data';
import type { Booking } from '@/data';
import { act, refuse, unbookAll } from '@/studio';
import type { Answer } from '@/core/input';
import {
  addressForm,
  cancelForm,
  lineForm,
  moveForm,
  notesForm,
  removeForm,
  repriceForm,
  returnForm,
} from '../orderForms';
import { readLine } from '../readLine';
import { ORDER_REFUSALS, SAID, WORDS } from '../words';
import { layNewLines } from './layByRule';
import {
  openLine,
  openOrder,
  openParcel,
  standsOf,
  theLine,
  theOrder,
} from './openedOrder';
import { currencyOf } from './reckonParcel';

/** Adds a line to an open order, and lays it into a parcel by the rule. */
export async function addLine(typed: unknown): Promise<Answer<null>> {
  return act(lineForm, typed, WORDS, async (v, { studio, settings, write, at }) =>
    write(async (tx) => {
      const order = await openOrder(tx, v.order);
      const read = await readLine(tx, v, currencyOf(order, settings.currency));
      if (!read.ok) return refuse(read.message, { [read.field]: read.message });
      await addOrderLine(tx, order, read.line, at);
      await layNewLines(tx, studio.home, order.number, at);
      return null;
    }),
  );
}

/** Takes a line out of an open order; its number is free again. */
export async function removeLine(typed: unknown): Promise<Answer<null>> {
  return act(removeForm, typed, WORDS, async (v, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, v.order);
      const line = openLine(order, v.line);
      if (order.lines.filter((l) => l.state !== 'removed').length === 1)
        throw new Refused('lastLine');
      await removeOrderLine(tx, order, line, at);
    });
    return null;
  });
}

/** Changes the price of a line of an open order. */
export async function repriceLine(typed: unknown): Promise<Answer<null>> {
  return act(repriceForm, typed, WORDS, async (v, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, v.order);
      const line = openLine(order, v.line);
      const payload = { price: v.price, before: line.price, currency: line.currency };
      await addOrderEvent(tx, order, { kind: 'repriced', payload, line }, at);
    });
    return null;
  });
}

/** Moves a line into another parcel that is open, or into one that is begun for it. */
export async function moveLine(typed: unknown): Promise<Answer<null>> {
  return act(moveForm, typed, WORDS, async (v, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, v.order);
      const line = openLine(order, v.line);
      const parcelId =
        v.parcel === 0
          ? await beginParcel(tx, order.id, at)
          : openParcel(order, v.parcel).id;
      await layLine(tx, order, line, parcelId, at);
    });
    return null;
  });
}

/** Changes where an open order goes. What was sealed already keeps its address. */
export async function changeAddress(typed: unknown): Promise<Answer<null>> {
  return act(addressForm, typed, WORDS, async ({ order: number, ...to }, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, number);
      await addOrderEvent(tx, order, { kind: 'addressed', payload: { ...to } }, at);
    });
    return null;
  });
}

/** Changes the customer's wish and the note to the packer. */
export async function changeNotes(typed: unknown): Promise<Answer<null>> {
  return act(notesForm, typed, WORDS, async ({ order: number, ...said }, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, number);
      await addOrderEvent(tx, order, { kind: 'noted', payload: { ...said } }, at);
    });
    return null;
  });
}

/** Cancels an order of which nothing has left: its numbers go back to their editions, its bookings are voided. Answers what was done. */
export async function cancelOrder(typed: unknown): Promise<Answer<string>> {
  return act(cancelForm, typed, WORDS, async (v, { studio, write, at }) => {
    const dropped: Booking[] = [];
    const refused = await write(async (tx) => {
      const order = await theOrder(tx, v.order);
      const forbids = refusesCancel(
        order.state,
        order.lines.map((l) => standsOf(order, l)),
      );
      if (forbids) return refuse(ORDER_REFUSALS[forbids]);
      for (const line of order.lines.filter((l) => l.state === 'open')) {
        const held = heldBy(line, order, at);
        if (held) await releaseImpression(tx, held);
      }
      for (const parcel of order.parcels) {
        const booking = parcel.sealed ? await keptBooking(tx, parcel.id) : undefined;
        if (!booking) continue;
        await dropBooking(tx, booking, 'cancelled', at);
        dropped.push(booking);
      }
      const payload = { reason: v.reason };
      await addOrderEvent(tx, order, { kind: 'cancelled', payload }, at);
      return null;
    });
    if (refused) return refused;
    const untold = await unbookAll(studio, dropped, 'cancelled');
    return untold.length === 0 ? SAID.cancelled : SAID.cancelledUntold(untold);
  });
}

/** Notes how a shipped line came back: whole, damaged, or lost on the way. */
export async function noteReturn(typed: unknown): Promise<Answer<null>> {
  return act(returnForm, typed, WORDS, async (v, { write, at }) =>
    write(async (tx) => {
      const order = await theOrder(tx, v.order);
      const line = theLine(order, v.line);
      const refused = refusesReturn(standsOf(order, line), line.price, v.refund);
      if (refused) {
        const message = ORDER_REFUSALS[refused];
        return refuse(message, refused === 'refundTooMuch' ? { refund: message } : {});
      }
      const held = heldBy(line, order, at);
      if (held) await returnImpression(tx, held, v.how);
      const { how, refund, reason } = v;
      const payload = { how, refund, reason, currency: line.currency };
      await addOrderEvent(tx, order, { kind: 'returned', payload, line }, at);
      return null;
    }),
  );
}
