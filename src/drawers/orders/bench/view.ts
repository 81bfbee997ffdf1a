import { notFound } from 'next/navigation';
import { daysUntil } from '@/core/days';
import { checkScales, ticked } from '@/core/pack';
import type { SealedLine } from '@/core/pack';
import { documentsOf, getOrder, voidedOf } from '@/data';
import type { DocumentRow, Order, ParcelOf, Reading } from '@/data';
import { rowId, studio, todayOf } from '@/studio';
import { addingLine } from '../addingLine';
import { benchLines } from './benchLines';
import type { BenchLine } from './benchLines';
import { currencyOf, extrasIn, linesIn, packDesk, reckonParcel } from './reckonParcel';
import type { PackDesk } from './reckonParcel';

/** What the slip is turned to; `parcel` unless something else was asked for. */
export const DOINGS = ['parcel', 'add', 'line', 'address', 'notes', 'cancel'] as const;
export type Doing = (typeof DOINGS)[number];

/** A line as it was named when its parcel was sealed. */
function asSealed(line: BenchLine, lines: readonly SealedLine[]): BenchLine {
  const was = lines.find((l) => l.line === line.id);
  if (!was) return line;
  const { title, label, paper, sheet } = was;
  return line.kind === 'goods'
    ? { ...line, name: title }
    : { ...line, work: title, label, paper: paper ?? '', sheet };
}

/** A parcel as it is shown: reckoned while it is open, as it was once it is sealed. */
function parcelView(
  order: Order,
  parcel: ParcelOf,
  lines: BenchLine[],
  desk: PackDesk,
  documents: DocumentRow[],
) {
  const own = linesIn(lines, parcel.id);
  const on = ticked(parcel.ticks);
  const common = {
    id: parcel.id,
    place: parcel.place,
    lines: own,
    weighed: parcel.weighed,
    ticks: { first: [...on.first], second: [...on.second] },
    shippedAt: parcel.shippedAt,
    documents: documents
      .filter((d) => d.parcelId === parcel.id && parcel.sealed && d.at >= parcel.sealed.at)
      .map(({ id, kind, name }) => ({ id, kind, name })),
  };
  if (parcel.sealed) {
    const { contents, carrier, service, tracking, cost, currency, weighed } = parcel.sealed;
    const { parts, total, tolerance } = contents;
    return {
      ...common,
      lines: own.map((l) => asSealed(l, contents.lines)),
      weighed,
      sealed: {
        contents,
        carrier,
        service,
        tracking,
        cost,
        currency,
        at: parcel.sealed.at,
      },
      open: null,
      parts,
      total,
      depth: contents.outside?.depth ?? null,
      scales:
        parts && total !== null && tolerance !== null && weighed !== null
          ? checkScales({ parts, total }, weighed, { scaleTolerance: tolerance })
          : null,
    };
  }
  const currency = currencyOf(order, '');
  const reckoned = reckonParcel(parcel, own, extrasIn(order, parcel.id), currency, desk);
  return {
    ...common,
    sealed: null,
    open: { chosen: reckoned.chosen, quotes: reckoned.quotes, counted: reckoned.counted },
    parts: reckoned.parcel?.parts ?? null,
    total: reckoned.parcel?.total ?? null,
    depth: reckoned.parcel?.depth ?? null,
    scales: reckoned.scales,
  };
}

export type ParcelView = ReturnType<typeof parcelView>;

const previews = (lines: BenchLine[]): Record<number, string> =>
  Object.fromEntries(
    lines.flatMap((l) =>
      l.workId !== null && l.picture ? [[l.workId, `/api/previews/${l.picture}`]] : [],
    ),
  );

async function lineForms(
  db: Reading,
  doing: Doing,
  query: Record<string, string | undefined>,
  currency: string,
) {
  return doing === 'add' ? addingLine(db, query, currency) : null;
}

/** The bench of one order: its lines, the parcels they lie in, one of them on the table. */
export async function loadOrderBench(
  number: string,
  query: Record<string, string | undefined>,
) {
  const { db, home } = await studio();
  const order = await getOrder(db.read, number);
  if (!order) notFound();
  const desk = await packDesk(db.read, home);
  const { settings } = desk;
  const today = todayOf(settings);
  const [lines, documents, voided] = await Promise.all([
    benchLines(db.read, order.lines, settings),
    documentsOf(db.read, order.id),
    voidedOf(db.read, order.id),
  ]);
  const parcels = order.parcels
    .map((p) => parcelView(order, p, lines, desk, documents))
    // One that was emptied again is no parcel any more.
    .filter((p) => p.lines.length > 0 || p.sealed);
  const asked = rowId(query.parcel ?? '');
  const picked =
    parcels.find((p) => p.id === asked) ??
    parcels.find((p) => !p.shippedAt) ??
    parcels[0] ??
    null;
  const doing = DOINGS.find((d) => d === query.do) ?? 'parcel';
  const currency = currencyOf(order, settings.currency);
  return {
    order: {
      number: order.number,
      state: order.state,
      channel: order.channel,
      customer: order.customer.name,
      customerId: order.customer.id,
      to: order.to,
      wish: order.wish,
      note: order.note,
      extras: order.extras,
      placedAt: order.placedAt,
      dueOn: order.dueOn,
      days: daysUntil(order.dueOn, today),
      shippedAt: parcels.map((p) => p.shippedAt).findLast((s) => s !== null) ?? null,
      cancelledAt: order.cancelledAt,
    },
    currency,
    lines,
    parcels,
    picked,
    doing,
    line: lines.find((l) => l.id === rowId(query.line ?? '')) ?? null,
    adding: await lineForms(db.read, doing, query, currency),
    previews: previews(lines),
    voided,
    tolerance: settings.pack.scaleTolerance,
  };
}

export type OrderBenchView = Awaited<ReturnType<typeof loadOrderBench>>;
