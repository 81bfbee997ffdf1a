import { and, desc, eq, sql } from 'drizzle-orm';
import type { PaperUse } from '@/core/paper';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { movements, stockNow } from '../schema';
import type { StockOf } from '../schema';

export type Movement = typeof movements.$inferSelect;

/** Records pieces received or used. */
export async function moveStock(
  tx: Writing,
  movement: Omit<Movement, 'id'>,
): Promise<void> {
  const { at, of, ref, pieces, reason } = movement;
  await record(tx, movements, movement, {
    at,
    what: pieces > 0 ? 'stock.received' : 'stock.used',
    detail: { of, ref, pieces, reason },
  });
}

/** What is left of everything of a kind, by its number. */
export async function stockOf(db: Reading, of: StockOf): Promise<Map<number, number>> {
  const rows = await db.select().from(stockNow).where(eq(stockNow.of, of));
  return new Map(rows.map((r) => [r.ref, r.pieces]));
}

const ofOne = (of: StockOf, ref: number) =>
  and(eq(movements.of, of), eq(movements.ref, ref));

/** Whether pieces ever came in or went out. */
export async function everMoved(db: Reading, of: StockOf, ref: number): Promise<boolean> {
  const [row] = await db
    .select({ id: movements.id })
    .from(movements)
    .where(ofOne(of, ref))
    .limit(1);
  return row !== undefined;
}

/** The last movements of one thing, oldest first. */
export const lastMovements = async (
  db: Reading,
  of: StockOf,
  ref: number,
  limit: number,
): Promise<Movement[]> =>
  (
    await db
      .select()
      .from(movements)
      .where(ofOne(of, ref))
      .orderBy(desc(movements.id))
      .limit(limit)
  ).reverse();

/** Pieces of packing material that were used since an instant, day by day. */
export async function usesOfMaterials(
  db: Reading,
  since: string,
): Promise<Map<number, PaperUse[]>> {
  const rows = await db.all<{ ref: number; at: string; pieces: number }>(sql`
    SELECT ref, substr(at, 1, 10) AS at, -sum(pieces) AS pieces FROM movement
      WHERE "of" = 'material' AND pieces < 0 AND at >= ${since} GROUP BY 1, 2`);
  const uses = new Map<number, PaperUse[]>();
  for (const { ref, at, pieces } of rows)
    uses.set(ref, [...(uses.get(ref) ?? []), { at, sheets: pieces }]);
  return uses;
}
