import { lastInkDemand, lastLine } from '@/data';
import type { PrinterRow, Reading } from '@/data';
import { judgeOf } from './judgedWorks';
import { inksOfPrinter } from './inksOfPrinter';
import type { InksOfPrinter } from './inksOfPrinter';

/** How the inks of printers stand, reckoned again only once something was written, or it is another day. */
class InksKept {
  private readonly known = new Map<number, { mark: string; of: Promise<InksOfPrinter> }>();

  async of(db: Reading, printer: PrinterRow, today: string): Promise<InksOfPrinter> {
    const mark = `${today} ${await lastLine(db)} ${await lastInkDemand(db)}`;
    const known = this.known.get(printer.id);
    if (known?.mark === mark) return known.of;
    const of = inksOfPrinter(db, printer, today);
    this.known.set(printer.id, { mark, of });
    of.catch(() => this.known.delete(printer.id));
    return of;
  }
}

/** The inks of a printer as they stand. */
export const inksStanding = (
  db: Reading,
  printer: PrinterRow,
  today: string,
): Promise<InksOfPrinter> =>
  judgeOf('inksOfPrinters', db, () => new InksKept()).of(db, printer, today);
