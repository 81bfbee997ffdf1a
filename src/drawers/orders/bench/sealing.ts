import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { shareOut } from '@/core/order';
import { takenFrom } from '@/core/pack';
import type { SealedLine } from '@/core/pack';
import { Refused, addBooking, isBooked, saleOfLine, sealParcel } from '@/data';
import type { Booking, Order, ParcelOf, Reading, Sealing } from '@/data';
import { keepBytes, storePaths } from '@/engine';
import { carriersOf, simulatedLabelPrinter } from '@/standins';
import type { Quote } from '@/standins';
import { unbook } from '@/studio';
import type { Studio } from '@/studio';
import type { BenchLine } from './benchLines';
import { makeDocuments } from './documents';
import { openParcel, theOrder } from './openedOrder';
import { currencyOf, reckonOf } from './reckonParcel';
import type { ReckonedParcel } from './reckonParcel';

type Ready = ReckonedParcel & { parcel: NonNullable<ReckonedParcel['parcel']> };

/** Whether a parcel may be sealed as it stands. Throws Refused, by the rule that forbids it. */
function ready(reckoned: ReckonedParcel): asserts reckoned is Ready {
  if (reckoned.lines.length === 0 || !reckoned.parcel) throw new Refused('emptyParcel');
  if (!reckoned.counted) throw new Refused('notCounted');
  if (!reckoned.scales) throw new Refused('notWeighed');
  if (!reckoned.scales.agrees) throw new Refused('scalesDisagree');
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

/** What each line left: cost, the channel's fees, and its share of the postage. */
async function salesOf(
  db: Reading,
  order: Order,
  lines: readonly BenchLine[],
  postage: number,
): Promise<Sealing['sales']> {
  const shares = shareOut(
    postage,
    lines.map((l) => l.price),
  );
  return Promise.all(
    lines.map(async (l, i) => ({
      lineId: l.id,
      ...(await saleOfLine(
        db,
        {
          workId: l.workId,
          sizeKey: l.sizeKey,
          copies: l.quantity,
          price: l.price,
          currency: l.currency,
          channel: order.channel,
        },
        order.placedAt,
      )),
      postage: shares[i] as Sealing['sales'][number]['postage'],
      currency: l.currency,
    })),
  );
}

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
 * the booking; after a crash the next start does. Throws Refused.
 */
export async function sealNow(
  open: Studio,
  asked: { order: string; parcel: number; carrier: string; service: string; cost: number },
  at: string,
): Promise<void> {
  const db = open.db.read;
  const order = await theOrder(db, asked.order);
  const parcel = openParcel(order, asked.parcel);
  if (order.state === 'cancelled') throw new Refused('cancelled');
  const reckoned = await reckonOf(db, open.home, order, parcel);
  ready(reckoned);
  const quote = reckoned.quotes.find(
    (q) => q.carrier === asked.carrier && q.service === asked.service,
  );
  const carrier = carriersOf(open.home).find((c) => c.name === asked.carrier);
  if (!quote || quote.refused || !carrier) throw new Refused('notTaken');
  if (quote.cost !== asked.cost) throw new Refused('otherCost');
  const promised = promiseOf(order, reckoned);
  const booking = await booked(open, { order, parcel, quote, at });
  try {
    const { tracking } = await carrier.book(quote, booking.reference);
    const made = await makeDocuments(db, {
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
      if (!(await isBooked(tx, booking)) || promiseOf(now, again) !== promised)
        throw new Refused('changedMeanwhile');
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
        sales: await salesOf(tx, now, again.lines, quote.cost),
        documents,
        used: takenFrom(chosen.packing!),
        bookingId: booking.id,
        at,
      });
    });
  } catch (error) {
    // What cannot be voided now is voided at the next start.
    await unbook(open, booking, 'notWritten').catch(() => undefined);
    throw error;
  }
}

/** Prints the label of a parcel that is sealed; it can be printed again at any time. */
export async function printLabel(
  open: Studio,
  label: { name: string; sha256: string },
): Promise<void> {
  const pdf = await readFile(storePaths(open.home).file(label.sha256));
  await simulatedLabelPrinter(open.home).print(label.name, pdf);
}
