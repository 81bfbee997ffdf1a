import { asc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { finishes, prices } from '../schema';
import { priceNow } from '../schema';
import { addLogLine } from '../log/log';

export type PriceRow = typeof prices.$inferSelect;
export type FinishRow = typeof finishes.$inferSelect;

export async function addPrice(tx: Writing, price: Omit<PriceRow, 'id'>): Promise<void> {
  await tx.insert(prices).values(price);
  await addLogLine(tx, {
    at: price.at,
    what: 'price.set',
    workId: price.workId,
    sizeKey: price.sizeKey,
    detail: {
      price: price.price,
      net: price.net,
      cost: price.cost,
      channel: price.channel,
    },
  });
}

/** The price in force of each size of a work: the last one set. */
export async function pricesOf(db: Reading, workId: number): Promise<PriceRow[]> {
  const rows = await db
    .select({ price: prices })
    .from(priceNow)
    .innerJoin(prices, eq(prices.id, priceNow.priceId))
    .where(eq(priceNow.workId, workId));
  return rows.map((r) => r.price);
}

export async function addFinish(tx: Writing, finish: Omit<FinishRow, 'id'>): Promise<void> {
  await tx.insert(finishes).values(finish);
  await addLogLine(tx, {
    at: finish.at,
    what: 'finish.planned',
    workId: finish.workId,
    sizeKey: finish.sizeKey,
  });
}

/** The mat and frame plan in force of each size of a work. */
export async function finishesOf(db: Reading, workId: number): Promise<FinishRow[]> {
  const rows = await db
    .select()
    .from(finishes)
    .where(eq(finishes.workId, workId))
    .orderBy(asc(finishes.id));
  return [...new Map(rows.map((r) => [r.sizeKey, r])).values()];
}
