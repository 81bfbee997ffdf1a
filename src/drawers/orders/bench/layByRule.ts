import { parcelFor, splitParcels } from '@/core/pack';
import { beginParcel, getOrder, layLine } from '@/data';
import type { Order, Writing } from '@/data';
import { benchLines } from './benchLines';
import { contentsOf, linesIn, packDesk } from './reckonParcel';

const isOpen = (order: Order) => order.parcels.filter((p) => !p.sealed && !p.shippedAt);

/** Lays each line that lies in no parcel yet into one, by the rule. */
export async function layNewLines(
  tx: Writing,
  home: string,
  number: string,
  at: string,
): Promise<void> {
  const order = (await getOrder(tx, number))!;
  const { materials, settings } = await packDesk(tx, home);
  const lines = await benchLines(tx, order.lines, settings);
  const parcels = isOpen(order).map((p) => ({
    id: p.id,
    contents: contentsOf(linesIn(lines, p.id)),
  }));
  for (const line of lines) {
    if (line.parcelId !== null || line.state !== 'open') continue;
    const { prints, goods } = contentsOf([line]);
    const thing = goods[0]
      ? { goods: goods[0] }
      : { print: prints[0] ?? { ...NO_SIZE, line: line.id } };
    const all = parcels.map((p) => p.contents);
    const place = parcelFor(thing, all, materials, settings.pack);
    let parcel = parcels[place];
    if (!parcel) {
      const id = await beginParcel(tx, order.id, at);
      parcels.push((parcel = { id, contents: contentsOf([]) }));
    }
    parcel.contents = {
      ...parcel.contents,
      prints: [...parcel.contents.prints, ...prints],
      goods: [...parcel.contents.goods, ...goods],
    };
    await layLine(tx, order, { ...line, price: line.price }, parcel.id, at);
  }
}

/** A print of which no size is known: it lies with the others. */
const NO_SIZE = {
  copies: 1,
  width: 0,
  height: 0,
  weight: 0,
  thickness: 0,
  certificate: false,
} as never as Parameters<typeof splitParcels>[0][number];

/** Lays every line that is not sealed anew, by the rule, into as few parcels as do. */
export async function splitAnew(
  tx: Writing,
  home: string,
  order: Order,
  at: string,
): Promise<void> {
  const { materials, settings } = await packDesk(tx, home);
  const open = isOpen(order);
  const ids = new Set(open.map((p) => p.id));
  const loose = order.lines.filter(
    (l) => l.state === 'open' && (l.parcelId === null || ids.has(l.parcelId)),
  );
  const { prints, goods } = contentsOf(await benchLines(tx, loose, settings));
  const split = splitParcels(prints, goods, materials, settings.pack);
  for (const [i, numbers] of split.entries()) {
    const parcelId = open[i]?.id ?? (await beginParcel(tx, order.id, at));
    for (const line of loose)
      if (numbers.includes(line.id) && line.parcelId !== parcelId)
        await layLine(tx, order, line, parcelId, at);
  }
}
