import { INK_RULES } from '@/core/ink';
import { listPrinters } from '@/data';
import type { Reading } from '@/data';
import { inksStanding } from './inksKept';

/** An ink that may have to be bought. */
export interface InkToBuy {
  printerId: number;
  printer: string;
  inkId: number;
  ink: string;
  /** The last day on which an ordered one comes in time; null where that cannot be told. */
  orderBy: string | null;
  /** The gauge warns, and there is nothing to hold against it. */
  warned: boolean;
  /** Cartridges that lie ready. */
  spares: number;
}

/** Inks with a day by which to buy them, and those whose gauge alone warns. */
export async function inksToBuy(db: Reading, today: string): Promise<InkToBuy[]> {
  const found: InkToBuy[] = [];
  for (const printer of await listPrinters(db)) {
    const { rows, inks } = await inksStanding(db, printer, today);
    for (const row of rows) {
      const now = inks.find((i) => i.id === row.id)!;
      const { orderBy, lasts, facts, spares } = now;
      const last = facts.readings.at(-1);
      const changed = facts.changes.at(-1)?.at ?? '';
      const warned =
        lasts === null &&
        spares === 0 &&
        last !== undefined &&
        last.at >= changed &&
        last.share <= INK_RULES.warns;
      if (orderBy === null && !warned) continue;
      const { id: printerId, name } = printer;
      found.push({
        printerId,
        printer: name,
        inkId: row.id,
        ink: row.name,
        orderBy,
        warned,
        spares,
      });
    }
  }
  return found;
}
