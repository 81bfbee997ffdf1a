import { asc, eq } from 'drizzle-orm';
import type { Reading } from '../reading';
import { documents } from '../schema';

export type DocumentRow = typeof documents.$inferSelect;

/** Newest document of each kind of each parcel and line of an order. */
export async function documentsOf(db: Reading, orderId: number): Promise<DocumentRow[]> {
  const rows = await db
    .select()
    .from(documents)
    .where(eq(documents.orderId, orderId))
    .orderBy(asc(documents.id));
  return [...new Map(rows.map((r) => [`${r.parcelId} ${r.kind} ${r.lineId}`, r])).values()];
}

export const getDocument = (db: Reading, id: number): Promise<DocumentRow | undefined> =>
  db.query.documents.findFirst({ where: eq(documents.id, id) });
