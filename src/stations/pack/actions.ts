'use server';
import {
  Refused,
  addMaterial,
  addOrderEvent,
  getOrder,
  listMaterials,
  moveStock,
} from '@/data';
import type { Order, Writing } from '@/data';
import { simulatedScales } from '@/standins';
import { act, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, decimal, defineForm, optional, text } from '@/core/input';
import { laidParts, reckonParcel } from './parcel';
import { handOver, sealOrder } from './sealOrder';
import { USUAL_PIECES, USUAL_STOCK } from './usualStock';

const WORDS: Record<string, string> = {
  noOrder: 'This order is not there. Open the orders drawer anew.',
  alreadyShipped: 'This order has left already.',
  sealed: 'The parcel is sealed already; its counts, weight and label stand.',
  noLabel: 'Seal and label the parcel first; nothing leaves without its label.',
  notFree: 'Its impression is not reserved for this order any more. See the edition.',
};

const number = text('Order', { max: 12 });
const tickInput = defineForm({
  order: number,
  line: text('Line', { max: 20 }),
  count: choice('Count', ['first', 'second']),
  on: choice('Tick', ['yes', 'no']),
});

/** An order that is not sealed yet, as it stands inside a write. Throws Refused. */
async function openOrder(tx: Writing, order: string): Promise<Order> {
  const found = await getOrder(tx, order);
  if (!found) throw new Refused('noOrder');
  if (found.label) throw new Refused('sealed');
  return found;
}

/** Ticks (or unticks) a line of the pick list in one of the two counts. */
export async function tickLine(typed: unknown): Promise<ActionResult<null>> {
  return act(tickInput, typed, WORDS, async (v, { write, at }) => {
    await write(async (tx) => {
      const order = await openOrder(tx, v.order);
      const tick = { line: v.line, count: v.count, on: v.on === 'yes' };
      await addOrderEvent(tx, order, 'tick', tick, at);
    });
    return null;
  });
}

const weighInput = defineForm({
  order: number,
  grams: optional(decimal('On the scales', { above: 0, max: 100_000 }, 'g')),
});

/** Weighs the parcel: by the scales, or by the figure typed. */
export async function weigh(typed: unknown): Promise<ActionResult<number>> {
  return act(weighInput, typed, WORDS, async (v, { studio, write, at }) => {
    const order = await getOrder(studio.db.read, v.order);
    const reckoned = order && (await reckonParcel(studio.db.read, order));
    if (!order || !reckoned?.parcel) return refuse(WORDS.noOrder!);
    const grams =
      v.grams ??
      (await simulatedScales(reckoned.parcel, laidParts(reckoned, order), order.id).read());
    if (grams <= 0)
      return refuse(
        'There is nothing on the scales. Count the parts onto the table first.',
      );
    await write(async (tx) =>
      addOrderEvent(tx, await openOrder(tx, v.order), 'weighed', { grams }, at),
    );
    return grams;
  });
}

const sealInput = defineForm({
  order: number,
  carrier: text('Carrier', { max: 60 }),
  service: text('Service', { max: 60 }),
});

/** Seals and labels: only when all was counted twice and the scales agree. */
export async function seal(typed: unknown): Promise<ActionResult<null>> {
  return act(sealInput, typed, WORDS, async (v, { studio, at }) => {
    const order = await getOrder(studio.db.read, v.order);
    const reckoned = order && (await reckonParcel(studio.db.read, order));
    if (!order || !reckoned) return refuse(WORDS.noOrder!);
    if (order.label) return refuse(WORDS.sealed!);
    if (!reckoned.counted)
      return refuse('Not everything was counted twice yet. Tick each line in both counts.');
    if (!reckoned.scales) return refuse('Weigh the parcel first.');
    if (!reckoned.scales.agrees)
      return refuse(
        'The scales disagree with the computed weight. Look again before sealing.',
      );
    const quote = reckoned.quotes.find(
      (q) => q.carrier === v.carrier && q.service === v.service,
    );
    if (!quote || quote.refused)
      return refuse('This service does not take the parcel. Choose another.');
    await sealOrder(studio, order, reckoned, quote, at);
    return null;
  });
}

const shipInput = defineForm({ order: number });

/** Marks a sealed order as handed over. */
export async function ship(typed: unknown): Promise<ActionResult<null>> {
  return act(shipInput, typed, WORDS, async (v, { studio, at }) => {
    await handOver(studio, v.order, at);
    return null;
  });
}

const stockInput = defineForm({});

/** Lays in the usual packing material, five pieces of each, where it is not there yet. */
export async function layInStock(typed: unknown): Promise<ActionResult<null>> {
  return act(stockInput, typed, WORDS, async (_v, { studio, write, at }) => {
    const there = new Set((await listMaterials(studio.db.read)).map((m) => m.name));
    await write(async (tx) => {
      for (const material of USUAL_STOCK) {
        if (there.has(material.name)) continue;
        const ref = await addMaterial(tx, material);
        await moveStock(tx, {
          of: 'material',
          ref,
          pieces: USUAL_PIECES,
          reason: `first stock, ${material.name}`,
          at,
        });
      }
    });
    return null;
  });
}
