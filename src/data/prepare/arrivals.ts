import { desc, eq, inArray, sql } from 'drizzle-orm';
import type { HandOverManifest } from '@/core/prepare';
import type { Minor } from '@/core/units';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { errandArrivals, errandItems, errands, printFiles } from '../schema';
import type { Errand } from './errands';

export type ArrivalRow = typeof errandArrivals.$inferSelect;

/** Notes what came of an errand; noted again, the newest counts. */
export async function addArrival(
  tx: Writing,
  errand: Pick<Errand, 'id' | 'number'>,
  row: Omit<ArrivalRow, 'id' | 'errandId'>,
): Promise<void> {
  const { at, onDay, cost, currency, faulty, note } = row;
  const works = await tx
    .selectDistinct({ workId: printFiles.workId })
    .from(printFiles)
    .innerJoin(errandItems, eq(errandItems.printFileId, printFiles.id))
    .where(eq(errandItems.errandId, errand.id));
  const told = {
    at,
    what: 'errand.came',
    detail: { number: errand.number, onDay, cost, currency, faulty, note },
  };
  await record(
    tx,
    errandArrivals,
    { ...row, errandId: errand.id },
    works.length === 0 ? told : works.map(({ workId }) => ({ ...told, workId })),
  );
}

/** What came of an errand, with what was handed over. */
export interface Arrival {
  errandId: number;
  name: string;
  manifest: HandOverManifest;
  handedAt: string;
  onDay: string;
  cost: Minor;
  currency: string;
  faulty: number;
  note: string;
}

/** What came of errands, the newest first: of some of them, or of all. */
export async function arrivals(
  db: Reading,
  { of, limit }: { of?: readonly number[]; limit: number },
): Promise<Arrival[]> {
  const rows = await db
    .select({ arrival: errandArrivals, errand: errands })
    .from(errandArrivals)
    .innerJoin(errands, eq(errands.id, errandArrivals.errandId))
    .where(
      sql`${errandArrivals.id} = (SELECT max(a.id) FROM errand_arrival a WHERE a.errand_id = ${errands.id})
        AND ${of === undefined ? sql`true` : inArray(errands.id, [...of])}`,
    )
    .orderBy(desc(errandArrivals.id))
    .limit(limit);
  return rows.map(({ arrival, errand }) => ({
    errandId: errand.id,
    name: errand.manifest.to,
    manifest: errand.manifest,
    handedAt: errand.at,
    onDay: arrival.onDay,
    cost: arrival.cost,
    currency: arrival.currency,
    faulty: arrival.faulty,
    note: arrival.note,
  }));
}
