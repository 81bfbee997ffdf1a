import { impressionLabel } from '@/core/edition';
import {
  choosePacking,
  checkScales,
  countedTwice,
  parcelWeight,
  pickList,
  ticked,
} from '@/core/pack';
import { grams } from '@/core/units';
import { getEdition, getPaper, listMaterials, readSettings } from '@/data';
import type { Order, Reading } from '@/data';
import { layOut } from '@/studio/reads/offered';
import { currentMaster, offeredSizes } from '@/data';
import { nominalSize } from '@/core/size';
import { quoteAll } from '@/standins';

/** Everything that is known of one order's parcel, reckoned anew from the facts. */
export async function reckonParcel(db: Reading, order: Order) {
  const [settings, paper, materials, edition, master, offered] = await Promise.all([
    readSettings(db),
    getPaper(db, order.paperId),
    listMaterials(db),
    getEdition(db, order.editionId),
    currentMaster(db, order.workId),
    offeredSizes(db, order.workId),
  ]);
  const label = edition
    ? impressionLabel(edition.declaration, order.series, order.impression)
    : String(order.impression);
  const laid = master
    ? layOut(offered, master, settings).find((r) => r.key === order.sizeKey)
    : undefined;
  const nominal = nominalSize(order.sizeKey);
  const sheet =
    laid?.fit.sheet ?? (nominal && { width: nominal.width, height: nominal.height });
  if (!paper || !sheet) return null;
  const print = { ...sheet, weight: paper.weight, thickness: paper.thickness };
  const packing = choosePacking(print, materials, settings.packing);
  const common = {
    label,
    paper: paper.name,
    print,
    fit: laid?.fit ?? null,
    edition,
    rules: settings.packing,
  };
  if (packing.way === 'none')
    return {
      ...common,
      packing,
      parcel: null,
      lines: [],
      quotes: [],
      scales: null,
      counted: false,
    };
  const parcel = parcelWeight(print, packing);
  const lines = pickList(packing, label, paper.name);
  return {
    ...common,
    packing,
    parcel,
    lines,
    quotes: quoteAll(parcel),
    scales:
      order.weighed === null
        ? null
        : checkScales(parcel, grams(order.weighed), settings.packing),
    counted: countedTwice(lines, order.ticks),
  };
}

export type ReckonedParcel = NonNullable<Awaited<ReturnType<typeof reckonParcel>>>;

/** Parts that the ticked lines have brought onto the table, by the part's name in the parcel. */
export function laidParts(reckoned: ReckonedParcel, order: Order): Set<string> {
  const on = ticked(order.ticks);
  const laid = new Set<string>();
  const wraps = reckoned.packing.way === 'flat' ? ['sleeve', 'board', 'mailer'] : ['tube'];
  for (const line of on.second) {
    const wrap = /^wrap(\d)$/.exec(line)?.[1];
    laid.add(wrap === undefined ? line : (wraps[Number(wrap)] ?? line));
  }
  return laid;
}
