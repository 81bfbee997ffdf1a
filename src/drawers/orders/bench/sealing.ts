import { randomUUID } from 'node:crypto';
import { sealFault, takenFrom } from '@/core/pack';
import type { SealedLine } from '@/core/pack';
import { Refused, addBooking, sealParcel } from '@/data';
import type { Booking, Order, ParcelOf, Sealing } from '@/data';
import { keepBytes } from '@/engine';
import { bookQuote } from '@/standins';
import type { Quote } from '@/standins';
import { unbookAll } from '@/studio';
import type { ActionTools, Studio } from '@/studio';
import type { BenchLine } from './benchLines';
import { makeDocuments } from './documents';
import type { MadeDocument } from './documents';
import { openParcel, theOrder } from './openedOrder';
import { currencyOf, reckonOf } from './reckonParcel';
import type { ReckonedParcel } from './reckonParcel';

type Ready = ReckonedParcel & { parcel: NonNullable<ReckonedParcel['parcel']> };

/** Whether a parcel may be sealed as it stands. Throws Refused, by the rule that forbids it. */
function ready(reckoned: ReckonedParcel): asserts reckoned is Ready {
  const fault = sealFault(reckoned, reckoned.lines.length);
  if (fault) throw new Refused(fault);
}

const sealedLine = (l: BenchLine): SealedLine => ({
  line: l.id,
  title: l.kind === 'goods' ? (l.name ?? '') : l.work,
  label: l.label,
  sizeKey: l.sizeKey,
  sheet: l.sheet,
  paper: l.paper || null,
  copies: l.quantity,
  price: l.price,
  currency: l.currency,
});

/** The same parts, of the same weight, to the same address: what was promised is what is sealed. */
const promiseOf = (order: Order, { parcel }: Ready): string =>
  JSON.stringify([parcel.parts, order.to]);

async function booked(
  open: Studio,
  {
    order,
    parcel,
    quote,
    at,
  }: { order: Order; parcel: ParcelOf; quote: Quote; at: string },
): Promise<Booking> {
  return open.db.write((tx) =>
    addBooking(tx, {
      parcelId: parcel.id,
      carrier: quote.carrier,
      service: quote.service,
      reference: `${order.number}-${parcel.place}-${randomUUID()}`,
      at,
    }),
  );
}

/**
 * Seals a parcel: the carrier is booked, the documents are made, then all of it is written
 * down at once, if nothing changed meanwhile. A lost race, a refused write or a fault voids
 * the booking; after a crash the next start does. Answers the label. Throws Refused.
 */
export async function sealNow(
  { studio: open, settings, at }: Pick<ActionTools, 'studio' | 'settings' | 'at'>,
  asked: { order: string; parcel: number; carrier: string; service: string; cost: number },
): Promise<MadeDocument> {
  const db = open.db.read;
  const order = await theOrder(db, asked.order);
  const parcel = openParcel(order, asked.parcel);
  if (order.state === 'cancelled') throw new Refused('cancelled');
  const reckoned = await reckonOf(db, open.home, order, parcel);
  ready(reckoned);
  const quote = reckoned.quotes.find(
    (q) => q.carrier === asked.carrier && q.service === asked.service,
  );
  if (!quote || quote.refused) throw new Refused('notTaken');
  if (quote.cost !== asked.cost) throw new Refused('otherCost');
  const promised = promiseOf(order, reckoned);
  const booking = await booked(open, { order, parcel, quote, at });
  let made: MadeDocument[];
  try {
    const { tracking } = await bookQuote(open.home, quote, booking.reference);
    made = await makeDocuments(db, settings, {
      order,
      parcel,
      lines: reckoned.lines,
      parts: reckoned.parcel.parts,
      total: reckoned.parcel.total,
      carrier: quote.carrier,
      service: quote.service,
      tracking,
      today: at.slice(0, 10),
    });
    const documents: Sealing['documents'] = [];
    for (const { pdf, ...document } of made)
      documents.push({ ...document, sha256: await keepBytes(open.home, pdf) });
    await open.db.write(async (tx) => {
      const now = await theOrder(tx, asked.order);
      const still = openParcel(now, asked.parcel);
      const again = await reckonOf(tx, open.home, now, still);
      ready(again);
      if (promiseOf(now, again) !== promised) throw new Refused('changedMeanwhile');
      const { chosen } = again;
      const { parts, total, width, height, depth } = again.parcel;
      await sealParcel(tx, now, still, {
        carrier: quote.carrier,
        service: quote.service,
        tracking,
        cost: quote.cost,
        currency: currencyOf(now, ''),
        weighed: still.weighed,
        contents: {
          way: chosen.packing!.way,
          notFlat: 'notFlat' in chosen ? chosen.notFlat : [],
          spare: chosen.packing!.spare,
          parts,
          total,
          outside: { width, height, depth },
          tolerance: again.scales!.tolerance,
          lines: again.lines.map(sealedLine),
          to: now.to,
          quotes: again.quotes,
          note: now.note,
        },
        documents,
        used: takenFrom(chosen.packing!),
        booking,
        at,
      });
    });
  } catch (error) {
    // What cannot be voided now is voided at the next start.
    await unbookAll(open, [booking], 'notWritten');
    throw error;
  }
  return made.find((d) => d.kind === 'label')!;
}
