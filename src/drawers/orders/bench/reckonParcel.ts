import { openParcelOf } from '@/core/pack';
import type { Contents, Extra, OpenParcel, PackingMaterial } from '@/core/pack';
import { grams, gsm, mm } from '@/core/units';
import { listMaterials, readSettings } from '@/data';
import type { BenchSettings, Order, ParcelOf, Reading } from '@/data';
import { quotesOf } from '@/standins';
import type { Quote } from '@/standins';
import { benchLines } from './benchLines';
import type { BenchLine } from './benchLines';

/** What packing is reckoned with: the shelf, and the settings in force. */
export interface PackDesk {
  home: string;
  materials: PackingMaterial[];
  settings: BenchSettings;
}

/** One parcel that is not sealed, reckoned from the facts of now. */
export interface ReckonedParcel extends OpenParcel {
  lines: BenchLine[];
  quotes: Quote[];
}

/** What lines bring into a parcel. A print whose paper or size is not known weighs nothing yet. */
export const contentsOf = (
  lines: readonly BenchLine[],
  extras: readonly Extra[] = [],
): Contents => ({
  prints: lines.flatMap((l) =>
    l.kind === 'goods' || l.sheet === null
      ? []
      : [
          {
            line: l.id,
            copies: l.quantity,
            width: l.sheet.width,
            height: l.sheet.height,
            weight: l.paperWeight ?? gsm(0),
            thickness: l.paperThickness ?? mm(0),
            leastRoll: l.paperTraits?.leastRoll ?? null,
            certificate: l.label !== null,
          },
        ],
  ),
  goods: lines.flatMap((l) =>
    l.kind === 'goods'
      ? [
          {
            line: l.id,
            name: l.name ?? '',
            copies: l.quantity,
            mass: l.mass ?? grams(0),
            thickness: l.thickness ?? mm(0),
          },
        ]
      : [],
  ),
  extras: [...extras],
});

/** Reckons one parcel: how it is packed, what it weighs, what carriers ask for it. */
export function reckonParcel(
  parcel: Pick<ParcelOf, 'ticks' | 'weighed'>,
  lines: BenchLine[],
  extras: readonly Extra[],
  currency: string,
  { home, materials, settings }: PackDesk,
): ReckonedParcel {
  const open = openParcelOf(contentsOf(lines, extras), parcel, materials, settings.pack);
  const quotes = open.parcel ? quotesOf(home, open.parcel, currency) : [];
  return { lines, ...open, quotes };
}

/** Lines that lie in a parcel and still belong to the order. */
export const linesIn = <L extends Pick<BenchLine, 'parcelId' | 'state'>>(
  lines: readonly L[],
  parcelId: number,
): L[] => lines.filter((l) => l.parcelId === parcelId && l.state !== 'removed');

/** Extras lie in the first parcel that anything lies in. */
export function extrasIn(order: Order, parcelId: number): Extra[] {
  const first = order.parcels.find((p) => linesIn(order.lines, p.id).length > 0);
  return first?.id === parcelId ? order.extras : [];
}

/** What packing is reckoned with now. */
export async function packDesk(db: Reading, home: string): Promise<PackDesk> {
  const [materials, settings] = await Promise.all([listMaterials(db), readSettings(db)]);
  return { home, materials, settings };
}

/** One open parcel of an order, reckoned from what the database holds now. */
export async function reckonOf(
  db: Reading,
  home: string,
  order: Order,
  parcel: ParcelOf,
): Promise<ReckonedParcel> {
  const desk = await packDesk(db, home);
  const lines = await benchLines(db, linesIn(order.lines, parcel.id), desk.settings);
  return reckonParcel(
    parcel,
    lines,
    extrasIn(order, parcel.id),
    currencyOf(order, desk.settings.currency),
    desk,
  );
}

/** The currency an order is in: that of its lines. */
export const currencyOf = (order: Pick<Order, 'lines'>, otherwise: string): string =>
  order.lines[0]?.currency ?? otherwise;
