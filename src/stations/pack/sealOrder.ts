import {
  Refused,
  addDocument,
  addOrderEvent,
  getOrder,
  moveStock,
  shipOrder,
} from '@/data';
import type { Order } from '@/data';
import { keepBytes } from '@/engine';
import { CARRIERS, simulatedLabelPrinter } from '@/standins';
import type { Quote } from '@/standins';
import type { Studio } from '@/studio';
import { makeDocuments } from './documents';
import type { ReckonedParcel } from './parcel';

/** Books the carrier, makes and keeps the documents, prints the label, takes the packing from stock. */
export async function sealOrder(
  open: Studio,
  order: Order,
  reckoned: ReckonedParcel,
  quote: Quote,
  at: string,
): Promise<void> {
  const carrier = CARRIERS.find((c) => c.name === quote.carrier)!;
  const { tracking } = await carrier.book(quote, order.number);
  const label = {
    carrier: quote.carrier,
    service: quote.service,
    tracking,
    cost: quote.cost,
  };
  const made = await makeDocuments(
    open.db.read,
    { ...order, label },
    reckoned,
    at.slice(0, 10),
  );
  const kept = await Promise.all(
    made.map(async ({ kind, name, pdf }) => {
      const sha256 = await keepBytes(open.home, pdf);
      return { orderId: order.id, kind, name, sha256, at };
    }),
  );
  const used =
    reckoned.packing.way === 'flat'
      ? [reckoned.packing.sleeve, reckoned.packing.board, reckoned.packing.mailer]
      : reckoned.packing.way === 'rolled'
        ? [reckoned.packing.tube]
        : [];
  await open.db.write(async (tx) => {
    // Another tab may have sealed it while the documents were made.
    if ((await getOrder(tx, order.number))?.label) throw new Refused('sealed');
    await addOrderEvent(tx, order, 'labelled', label, at);
    for (const document of kept) await addDocument(tx, document);
    for (const m of used)
      await moveStock(tx, {
        of: 'material',
        ref: m.id,
        pieces: -1,
        reason: `order ${order.number}, ${m.name}`,
        at,
      });
  });
  const labelPdf = made.find((d) => d.kind === 'label');
  if (labelPdf) await simulatedLabelPrinter(open.home).print(labelPdf.name, labelPdf.pdf);
}

/** Hands a sealed order over: shipped, and its number sold. */
export const handOver = (open: Studio, number: string, at: string): Promise<Order> =>
  open.db.write((tx) => shipOrder(tx, number, at));
