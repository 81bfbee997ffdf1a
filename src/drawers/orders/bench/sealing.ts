import { dayIn } from '@/core/days';
import { randomUUID } from 'node:crypto';
import { sealFault, takenFrom } from '@/core/pack';
import type { SealedLine } from '@/core/pack';
import { Refused, addBooking, sealParcel } from '@/data';
import type { Booking, Order, ParcelOf, Reading, Sealing } from '@/data';
import { bookQuote } from '@/standins';
import type { Quote } from '@/standins';
import { keeping, unbookAll } from '@/studio';
import type { ActionTools, Studio } from '@/studio';
import type { BenchLine } from './benchLines';
import { makeDocuments } from './documents';
import type { MadeDocument } from './documents';
import { openParcel, theOrder } from './openedOrder';
import { currencyOf, reckonOf } from './reckonParcel';

/** A line as it is written down when it goes. */
export const sealedLine = (l: BenchLine): SealedLine => ({
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

/** What is asked to be sealed, as the page that asks for it showed it. */
interface Asked {
  order: string;
  parcel: number;
  carrier: string;
  service: string;
  cost: number;
}

/**
 * A parcel that may be sealed as it stands, as the page promised it. Throws Refused, by the
 * rule that forbids it. Asked before anything is booked, and again inside the write.
 */
async function sealable(db: Reading, home: string, asked: Asked) {
  const order = await theOrder(db, asked.order);
  const parcel = openParcel(order, asked.parcel);
  if (order.state === 'cancelled') throw new Refused('cancelled');
  const reckoned = await reckonOf(db, home, order, parcel);
  const fault = sealFault(reckoned, reckoned.lines.length);
  if (fault) throw new Refused(fault);
  const quote = reckoned.quotes.find(
    (q) => q.carrier === asked.carrier && q.service === asked.service,
  );
  if (!quote || quote.refused) throw new Refused('notTaken');
  if (quote.cost !== asked.cost) throw new Refused('otherCost');
  const { chosen, lines, quotes, scales } = reckoned;
  return { order, parcel, lines, quotes, quote, chosen, scales, packed: reckoned.parcel! };
}

type Sealable = Awaited<ReturnType<typeof sealable>>;

/** Everything that the documents say: while it is the same, they are true of what is sealed. */
const saidOf = ({ order, parcel, lines, packed }: Sealable): string =>
  JSON.stringify([
    packed.parts,
    packed.total,
    parcel.weighed,
    lines.map((l) => [sealedLine(l), l.impression]),
    order.to,
    order.parcels.length,
  ]);

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
  asked: Asked,
): Promise<MadeDocument> {
  const db = open.db.read;
  const before = await sealable(db, open.home, asked);
  const { order, parcel, lines, packed, quote } = before;
  const { carrier, service, cost } = quote;
  const booking = await booked(open, { order, parcel, quote, at });
  let made: MadeDocument[];
  try {
    const { tracking } = await bookQuote(open.home, quote, booking.reference);
    const { parts, total } = packed;
    const today = dayIn(at, settings.timeZone);
    const sending = {
      order,
      parcel,
      lines,
      parts,
      total,
      carrier,
      service,
      tracking,
      today,
    };
    made = await makeDocuments(db, settings, sending);
    await keeping(open, async ({ keepBytes }) => {
      const documents: Sealing['documents'] = [];
      for (const { pdf, ...document } of made)
        documents.push({ ...document, sha256: await keepBytes(pdf) });
      await open.db.write(async (tx) => {
        const now = await sealable(tx, open.home, asked);
        if (saidOf(now) !== saidOf(before)) throw new Refused('changedMeanwhile');
        const contents = contentsOf(now);
        const used = takenFrom(now.chosen.packing!);
        const { weighed } = now.parcel;
        const currency = currencyOf(now.order, '');
        const sealed = { carrier, service, tracking, cost, currency, weighed, contents };
        await sealParcel(tx, now.order, now.parcel, {
          ...sealed,
          documents,
          used,
          booking,
          at,
        });
      });
    });
  } catch (error) {
    // What cannot be voided now is voided at the next start.
    await unbookAll(open, [booking], 'notWritten');
    throw error;
  }
  return made.find((d) => d.kind === 'label')!;
}

/** What is written down of a parcel that is sealed. */
function contentsOf({
  order,
  lines,
  quotes,
  chosen,
  scales,
  packed,
}: Sealable): Sealing['contents'] {
  const { parts, total, width, height, depth } = packed;
  return {
    way: chosen.packing!.way,
    notFlat: 'notFlat' in chosen ? chosen.notFlat : [],
    spare: chosen.packing!.spare,
    parts,
    total,
    outside: { width, height, depth },
    tolerance: scales!.tolerance,
    lines: lines.map(sealedLine),
    to: order.to,
    quotes,
    note: order.note,
  };
}
