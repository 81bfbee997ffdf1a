'use server';
import { laidParts } from '@/core/pack';
import { addOrderEvent, dropBooking, keptBooking, shipParcel } from '@/data';
import { simulatedLabelPrinter, simulatedScales } from '@/standins';
import { act, refuse, unbookAll } from '@/studio';
import type { Answer } from '@/core/input';
import { orderForm, parcelForm, sealForm, tickForm, weighForm } from '../orderForms';
import { SAID, WORDS } from '../words';
import { splitAnew } from './layByRule';
import { openOrder, openParcel, theOrder, theParcel } from './openedOrder';
import { reckonOf } from './reckonParcel';
import { giveNow } from './giving';
import { sealNow } from './sealing';

const SEAL_WORDS = {
  ...WORDS,
  notTaken: 'This service does not take the parcel. Choose another.',
  otherCost: 'The carrier asks another price by now. Look at the quotes again, then seal.',
};

/** Ticks (or unticks) a part of a parcel in one of the two counts. */
export async function tickPart(typed: unknown): Promise<Answer<null>> {
  return act(tickForm, typed, WORDS, async (v, { write, at }) => {
    await write(async (tx) => {
      const order = await theOrder(tx, v.order);
      const parcel = openParcel(order, v.parcel);
      const payload = { line: v.part, count: v.count, on: v.on === 'yes' };
      await addOrderEvent(tx, order, { kind: 'tick', payload, parcelId: parcel.id }, at);
    });
    return null;
  });
}

/** Weighs a parcel: by the scales, or by the figure typed. */
export async function weigh(typed: unknown): Promise<Answer<number>> {
  return act(weighForm, typed, WORDS, async (v, { studio, write, at }) => {
    const order = await theOrder(studio.db.read, v.order);
    const parcel = openParcel(order, v.parcel);
    const reckoned = await reckonOf(studio.db.read, studio.home, order, parcel);
    if (!reckoned.parcel)
      return refuse('It cannot be weighed until there is something to pack it in.');
    const laid = laidParts(reckoned.parcel.parts, parcel.ticks);
    const grams = v.grams ?? (await simulatedScales(laid, order.id).read());
    if (grams <= 0)
      return refuse(
        'There is nothing on the scales. Count the parts onto the table first.',
      );
    await write(async (tx) => {
      const now = await theOrder(tx, v.order);
      const { id, place } = openParcel(now, v.parcel);
      const payload = { grams, parcel: place };
      await addOrderEvent(tx, now, { kind: 'weighed', payload, parcelId: id }, at);
    });
    return grams;
  });
}

/** Seals and labels a parcel: only when all was counted twice and the scales agree. Answers what was done. */
export async function seal(typed: unknown): Promise<Answer<string>> {
  return act(sealForm, typed, SEAL_WORDS, async (v, tools) => {
    const { name, pdf } = await sealNow(tools, v);
    // It is sealed, whatever becomes of the label: that can be printed again.
    return simulatedLabelPrinter(tools.studio.home)
      .print(name, pdf)
      .then(
        () => SAID.sealed,
        () => SAID.notPrinted,
      );
  });
}

/** Gives what lies in a parcel into a hand: nothing is packed, its numbers are sold. */
export async function give(typed: unknown): Promise<Answer<null>> {
  return act(parcelForm, typed, WORDS, async (v, tools) => {
    await giveNow(tools, v);
    return null;
  });
}

/** Opens a sealed parcel again before it leaves: its booking is voided, its counts begin anew. Answers what was done. */
export async function openAgain(typed: unknown): Promise<Answer<string>> {
  return act(parcelForm, typed, WORDS, async (v, { studio, write, at }) => {
    const order = await theOrder(studio.db.read, v.order);
    const parcel = theParcel(order, v.parcel);
    if (parcel.shippedAt) return refuse(WORDS.alreadyShipped!);
    if (!parcel.sealed) return refuse('This parcel is open already.');
    const booking = await keptBooking(studio.db.read, parcel.id);
    const refused = await write(async (tx) => {
      const now = await theOrder(tx, v.order);
      const still = theParcel(now, v.parcel);
      if (still.shippedAt) return refuse(WORDS.alreadyShipped!);
      if (still.sealed?.id !== parcel.sealed?.id) return refuse(WORDS.changedMeanwhile!);
      for (const tick of still.ticks.filter((t) => t.on))
        await addOrderEvent(
          tx,
          now,
          { kind: 'tick', payload: { ...tick, on: false }, parcelId: still.id },
          at,
        );
      const payload = { parcel: still.place };
      await addOrderEvent(tx, now, { kind: 'opened', payload, parcelId: still.id }, at);
      if (booking) await dropBooking(tx, booking, 'opened', at);
      return null;
    });
    if (refused) return refused;
    const untold = await unbookAll(studio, booking ? [booking] : [], 'opened');
    return untold.length === 0 ? SAID.opened : SAID.openedUntold(untold);
  });
}

/** Marks a sealed parcel as handed to its carrier. */
export async function ship(typed: unknown): Promise<Answer<null>> {
  return act(parcelForm, typed, WORDS, async (v, { write, at, today }) => {
    await write(async (tx) => {
      const order = await theOrder(tx, v.order);
      await shipParcel(tx, order, theParcel(order, v.parcel), { at, on: today });
    });
    return null;
  });
}

/** Lays all that is not sealed into parcels anew, by the rule. */
export async function splitByRule(typed: unknown): Promise<Answer<null>> {
  return act(orderForm, typed, WORDS, async (v, { studio, write, at }) => {
    await write(async (tx) => {
      await splitAnew(tx, studio.home, await openOrder(tx, v.order), at);
    });
    return null;
  });
}
