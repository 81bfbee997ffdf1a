import { dayIn } from '@/core/days';
import { givenInHand } from '@/core/pack';
import { minor } from '@/core/units';
import { Refused, sealParcel, shipParcel } from '@/data';
import type { Reading, Sealing } from '@/data';
import { keeping } from '@/studio';
import type { ActionTools } from '@/studio';
import { benchLines } from './benchLines';
import { makeCertificates } from './documents';
import { openParcel, theOrder, theParcel } from './openedOrder';
import { linesIn } from './reckonParcel';
import { sealedLine } from './sealing';

interface Asked {
  order: string;
  parcel: number;
}

/** What may be given in hand as it stands. Throws Refused. */
async function givable(db: Reading, asked: Asked, settings: ActionTools['settings']) {
  const order = await theOrder(db, asked.order);
  const parcel = openParcel(order, asked.parcel);
  if (order.state === 'cancelled') throw new Refused('cancelled');
  const lines = await benchLines(db, linesIn(order.lines, parcel.id), settings);
  if (lines.length === 0) throw new Refused('emptyParcel');
  return { order, parcel, lines };
}

type Givable = Awaited<ReturnType<typeof givable>>;

const saidOf = ({ order, lines }: Givable): string =>
  JSON.stringify([lines.map((l) => [sealedLine(l), l.impression]), order.to]);

/**
 * Gives what lies in a parcel into a hand, at a fair, in a gallery, at the door: nothing is packed,
 * weighed or booked. Its certificates are made, its sale is written down, its numbers are sold.
 * Throws Refused.
 */
export async function giveNow(
  { studio: open, settings, at }: Pick<ActionTools, 'studio' | 'settings' | 'at'>,
  asked: Asked,
): Promise<void> {
  const db = open.db.read;
  const before = await givable(db, asked, settings);
  const today = dayIn(at, settings.timeZone);
  const made = await makeCertificates(db, settings, { ...before, today });
  await keeping(open, async ({ keepBytes }) => {
    const documents: Sealing['documents'] = [];
    for (const { pdf, ...document } of made)
      documents.push({ ...document, sha256: await keepBytes(pdf) });
    await open.db.write(async (tx) => {
      const now = await givable(tx, asked, settings);
      if (saidOf(now) !== saidOf(before)) throw new Refused('changedMeanwhile');
      const { order, parcel, lines } = now;
      await sealParcel(tx, order, parcel, {
        ...{ carrier: '', service: '', tracking: '', weighed: null },
        cost: minor(0),
        currency: lines[0]!.currency,
        contents: givenInHand({
          lines: lines.map(sealedLine),
          to: order.to,
          note: order.note,
        }),
        documents,
        used: [],
        booking: null,
        at,
      });
      const sealed = await theOrder(tx, asked.order);
      await shipParcel(tx, sealed, theParcel(sealed, asked.parcel), { at, on: today });
    });
  });
}
