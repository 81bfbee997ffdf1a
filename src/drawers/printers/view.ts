import { ROLES, cartridgeBars, inkWeeks } from '@/core/ink';
import type { InkNow } from '@/core/ink';
import { daysAfter } from '@/core/days';
import type { Minor } from '@/core/units';
import { listPrinters, ownRoute, purchasesOnTheWay, readSettings, routesNow } from '@/data';
import type { InkEventRow, OnItsWay, PrinterInkRow, PrinterRow, Reading } from '@/data';
import { WEEKS_SHOWN, inksOfPrinter, isHere, rowId, studio, todayOf } from '@/studio';
import type { InksOfPrinter } from '@/studio';
import { inkAsWritten, printerForm } from './printerForm';

export const NOTES = ['changed', 'gauge', 'cleaned', 'bought', 'noted'] as const;
export type NoteKind = (typeof NOTES)[number];

/** Events that the slip has room for. */
const EVENTS = 12;

/** An ink as it is shown: what it is, how it stands. */
const shownInk = (
  row: PrinterInkRow,
  now: InkNow,
  today: string,
  /** What was ordered of it and is not here yet. */
  coming: OnItsWay | null,
) => {
  const { fit, facts } = now;
  const last = facts.readings.at(-1);
  return {
    ...row,
    isBox: ROLES[row.role].of === 'waste',
    spares: now.spares,
    lasts: now.lasts,
    allLast: now.allLast,
    orderBy: now.orderBy,
    verdict: now.verdict,
    warnings: now.warnings,
    bars: cartridgeBars(now),
    gauge: last ?? null,
    fit: {
      perCovered: fit.perCovered,
      perCoveredOff: Math.sqrt(Math.max(0, fit.covariance[0]![0]!)),
      perCleaning: fit.perCleaning,
      perDay: fit.perDay,
      cartridges: fit.cartridges,
    },
    coming,
    dueSoon: !coming && now.orderBy !== null && now.orderBy <= daysAfter(today, 7),
  };
};
export type ShownInk = ReturnType<typeof shownInk>;

/** What the first set cost and held: it mostly filled the tubes, and is counted apart. */
function firstSet(events: readonly InkEventRow[]) {
  const first = events.filter((e) => e.kind === 'changed' && e.firstFill);
  if (first.length === 0) return null;
  return {
    inks: first.length,
    ml: first.reduce((sum, e) => sum + (e.ml ?? 0), 0),
    cost: first.reduce((sum, e) => sum + (e.price ?? 0), 0) as Minor,
    currency: first[0]!.currency,
  };
}

const inksShown = (
  { rows, inks }: InksOfPrinter,
  today: string,
  coming: readonly OnItsWay[],
) =>
  rows.map((row) =>
    shownInk(
      row,
      inks.find((i) => i.id === row.id)!,
      today,
      coming.find((c) => c.kind === 'ink' && c.ref === row.id) ?? null,
    ),
  );

/** The picked printer with its inks, its year and what was noted of it. */
async function pickedPrinter(db: Reading, printer: PrinterRow, today: string) {
  const known = await inksOfPrinter(db, printer, today);
  const { events, inks, printed, prints, missing } = known;
  return {
    printer,
    inks: inksShown(known, today, await purchasesOnTheWay(db)),
    weeks: inkWeeks(inks, printed, today, WEEKS_SHOWN),
    events: [...events].reverse().slice(0, EVENTS),
    firstSet: firstSet(events),
    prints,
    missing: missing.length,
    changes: events.filter((e) => e.kind === 'changed').length,
  };
}

/** The printers drawer: each printer, its inks as they stand, a year of what it was used for. */
export async function loadPrinters(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [printers, routes, settings, own] = await Promise.all([
    listPrinters(db),
    routesNow(db),
    readSettings(db),
    ownRoute(db),
  ]);
  const today = todayOf(settings);
  const found = printers.find((p) => p.id === rowId(query.printer ?? '')) ?? printers[0];
  const picked = found ? await pickedPrinter(db, found, today) : null;
  const ink = picked?.inks.find((i) => i.id === rowId(query.ink ?? '')) ?? null;
  const note = NOTES.find((n) => n === query.note) ?? null;
  return {
    printers: printers.map((p) => ({
      id: p.id,
      name: p.name,
      here: p.route === '' || routes.some((r) => r.name === p.route && isHere(r)),
    })),
    picked,
    ink,
    note: picked && picked.inks.length > 0 ? note : null,
    adding: query.new === '1' || printers.length === 0,
    editing: query.edit === '1' && found ? printerForm.write(found, settings) : null,
    addingInk: query.new === 'ink' && found !== undefined,
    editingInk: query.edit === 'ink' && ink ? inkAsWritten(ink, settings) : null,
    routes: routes.map((r) => r.name),
    ownRoute: own,
    today,
    settings,
  };
}

export type PrintersView = Awaited<ReturnType<typeof loadPrinters>>;
