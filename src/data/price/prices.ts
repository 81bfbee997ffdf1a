import { eq } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { priceNow, prices } from '../schema';

export type PriceRow = typeof prices.$inferSelect;

export async function addPrice(tx: Writing, price: Omit<PriceRow, 'id'>): Promise<void> {
  const { at, workId, sizeKey, cost, net, channel, currency } = price;
  await record(tx, prices, price, {
    at,
    what: 'price.set',
    workId,
    sizeKey,
    detail: { price: price.price, net, cost, channel, currency },
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
