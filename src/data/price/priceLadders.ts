import { desc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { priceLadders } from '../schema';

export type PriceLadderRow = typeof priceLadders.$inferSelect;

/** Keeps by which rule the prices of a work were made; the prices themselves are facts of their own. */
export async function addPriceLadder(
  tx: Writing,
  row: Omit<PriceLadderRow, 'id'>,
): Promise<void> {
  const { at, workId, terms } = row;
  const detail = { by: terms.rule.by };
  await record(tx, priceLadders, row, { at, what: 'ladder.kept', workId, detail });
}

/** By which rule the prices of a work were made last; null where none was kept. */
export async function priceLadderOf(
  db: Reading,
  workId: number,
): Promise<PriceLadderRow | null> {
  const row = await db.query.priceLadders.findFirst({
    where: eq(priceLadders.workId, workId),
    orderBy: desc(priceLadders.id),
  });
  return row ?? null;
}
