import { desc, eq, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { priceLists } from '../schema';

export type PriceListRow = typeof priceLists.$inferSelect;

/** Keeps what a route asks from now on; what it asked before stays. */
export async function addPriceList(
  tx: Writing,
  list: Omit<PriceListRow, 'id'>,
): Promise<number> {
  const { at, name, values } = list;
  const detail = { name, from: values.from };
  return (await record(tx, priceLists, list, { at, what: 'priceList.kept', detail })).id;
}

/** The lists as they stand, in the order of their routes' names. */
export const priceListsNow = (db: Reading): Promise<PriceListRow[]> =>
  db
    .select()
    .from(priceLists)
    .where(sql`${priceLists.id} IN (SELECT max(id) FROM price_list GROUP BY name)`)
    .orderBy(sql`lower(${priceLists.name})`);

/** Every list of a route, the newest first. */
export const priceListsOf = (db: Reading, name: string): Promise<PriceListRow[]> =>
  db
    .select()
    .from(priceLists)
    .where(eq(priceLists.name, name))
    .orderBy(desc(priceLists.id));
