import { asc, eq, inArray, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { ownRoute } from '../paper/takePaper';
import { printerInks, printers } from '../schema';

export type PrinterRow = typeof printers.$inferSelect;
export type PrinterInkRow = typeof printerInks.$inferSelect;
type Trait = 'coreFrom' | 'coreTo';
export type NewPrinter = Omit<PrinterRow, 'id' | Trait> & Partial<Pick<PrinterRow, Trait>>;
export type NewPrinterInk = Omit<PrinterInkRow, 'id'>;

export async function addPrinter(tx: Writing, printer: NewPrinter): Promise<number> {
  const line = {
    at: printer.createdAt,
    what: 'printer.new',
    detail: { name: printer.name },
  };
  return (await record(tx, printers, printer, line)).id;
}

export const getPrinter = (db: Reading, id: number): Promise<PrinterRow | undefined> =>
  db.query.printers.findFirst({ where: eq(printers.id, id) });

/** Every printer, in the order of their names. */
export const listPrinters = (db: Reading): Promise<PrinterRow[]> =>
  db
    .select()
    .from(printers)
    .orderBy(sql`lower(${printers.name})`, asc(printers.id));

/** The printer of that name, however it is capitalised. */
export async function printerNamed(
  db: Reading,
  name: string,
): Promise<PrinterRow | undefined> {
  const [row] = await db
    .select()
    .from(printers)
    .where(sql`lower(${printers.name}) = lower(${name})`);
  return row;
}

/** The printer that prints where no route says who does: the first of the own route, or of none. */
export async function ownPrinterOf(db: Reading): Promise<PrinterRow | null> {
  const own = (await ownRoute(db)).toLowerCase();
  const all = await listPrinters(db);
  const of = (route: string) => all.find((p) => p.route.toLowerCase() === route);
  return of(own) ?? of('') ?? null;
}

export async function addPrinterInk(
  tx: Writing,
  ink: NewPrinterInk,
  { at, printer }: { at: string; printer: string },
): Promise<number> {
  const line = { at, what: 'printerInk.new', detail: { printer, name: ink.name } };
  return (await record(tx, printerInks, ink, line)).id;
}

export const getPrinterInk = (
  db: Reading,
  id: number,
): Promise<PrinterInkRow | undefined> =>
  db.query.printerInks.findFirst({ where: eq(printerInks.id, id) });

/** The inks of some printers, in the order in which they were named. */
export const inksOfPrinters = (
  db: Reading,
  printerIds: readonly number[],
): Promise<PrinterInkRow[]> =>
  printerIds.length === 0
    ? Promise.resolve([])
    : db
        .select()
        .from(printerInks)
        .where(inArray(printerInks.printerId, [...printerIds]))
        .orderBy(asc(printerInks.id));
