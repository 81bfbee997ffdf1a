import { inksNow } from '@/core/ink';
import type { InkEvent, InkNow, PrintedHere, PrinterFacts } from '@/core/ink';
import { daysAfter } from '@/core/days';
import { inkEventsOf, inksOfPrinters, ownPrinterOf, printedHere } from '@/data';
import type { InkEventRow, InkedPicture, PrinterInkRow, PrinterRow, Reading } from '@/data';
import { OWN_PRINTER } from './profileFor';
import { inkedPictures, withDemands } from './inkPictures';

/** Days that are looked back on at most: what was before says little of today's printer. */
const BACK = 5 * 365;
/** Weeks that are drawn, whether an ink was changed in them or not. */
export const WEEKS_SHOWN = 52;

/** All that is known of a printer's inks today. */
export interface InksOfPrinter {
  printer: PrinterRow;
  rows: PrinterInkRow[];
  events: InkEventRow[];
  inks: InkNow[];
  printed: PrintedHere[];
  /** Prints in all, and pictures that nobody has estimated yet. */
  prints: number;
  missing: InkedPicture[];
}

const asEvent = (row: InkEventRow): InkEvent[] => {
  const { inkId, day, kind, share, times, ml, firstFill } = row;
  const of = { inkId, day };
  if (kind === 'changed') return [{ ...of, kind, ml: ml ?? 0, wasLeft: share, firstFill }];
  if (kind === 'gauge') return [{ ...of, kind, share: share ?? 0 }];
  if (kind === 'cleaned') return [{ ...of, kind, times: times ?? 1 }];
  if (kind === 'bought') return [{ ...of, kind, pieces: times ?? 0 }];
  return [];
};

/** What a printer printed since a day, and what it took. */
async function printedBy(db: Reading, printer: PrinterRow, since: string) {
  const own = (await ownPrinterOf(db))?.id === printer.id;
  const routes = own ? [printer.route, '', OWN_PRINTER] : [printer.route];
  const rows = await printedHere(db, { routes, own, since });
  const inked = await inkedPictures(db, rows, printer.route || OWN_PRINTER);
  const prints = inked.reduce((n, i) => n + i.count, 0);
  return { prints, ...(await withDemands(db, inked)) };
}

/** How the inks of a printer stand on a day, with everything that this rests on. */
export async function inksOfPrinter(
  db: Reading,
  printer: PrinterRow,
  today: string,
): Promise<InksOfPrinter> {
  const [rows, events] = await Promise.all([
    inksOfPrinters(db, [printer.id]),
    inkEventsOf(db, printer.id),
  ]);
  const first = events.find((e) => e.kind === 'changed')?.day ?? today;
  const shown = daysAfter(today, -7 * WEEKS_SHOWN);
  const far = daysAfter(today, -BACK);
  const wanted = first < shown ? first : shown;
  const { printed, prints, missing } = await printedBy(
    db,
    printer,
    wanted < far ? far : wanted,
  );
  const facts: PrinterFacts = {
    inks: rows,
    printed,
    events: events.flatMap(asEvent),
    deliveryDays: printer.deliveryDays,
  };
  const inks = inksNow(facts, today);
  return { printer, rows, events, inks, printed, prints, missing };
}
