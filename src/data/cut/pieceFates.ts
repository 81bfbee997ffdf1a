import { eq } from 'drizzle-orm';
import type { Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { pieceFates } from '../schema';

/** Keeps what became of a printed piece. Throws Refused `pieceGone` where something did before. */
export async function addPieceFate(
  tx: Writing,
  fate: Omit<typeof pieceFates.$inferSelect, 'id'>,
): Promise<void> {
  const before = await tx.query.pieceFates.findFirst({
    where: eq(pieceFates.pieceId, fate.pieceId),
  });
  if (before) throw new Refused('pieceGone');
  await record(tx, pieceFates, fate, null);
}
