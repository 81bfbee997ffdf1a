import { and, eq, ne, sql } from 'drizzle-orm';
import { customerKey } from '@/core/order';
import type { Addressee } from '@/core/order';
import type { Reading, Writing } from '../reading';
import { listPage } from '../listPage';
import { tell } from '../log/log';
import { foundOnce, idsFound, matchOf, tallied } from '../page';
import type { Asked, Page } from '../page';
import { Refused } from '../refused';
import { customers, orders } from '../schema';

export type Customer = typeof customers.$inferSelect;

/** Where letters to a customer go. */
export const addressOf = ({ name, street, town, country }: Addressee): Addressee => ({
  name,
  street,
  town,
  country,
});

/** The customer of that name and address: found again, or new. */
export async function customerFor(tx: Writing, who: Addressee): Promise<Customer> {
  const key = customerKey(who);
  const known = await tx.query.customers.findFirst({ where: eq(customers.key, key) });
  if (known) return known;
  const [row] = await tx
    .insert(customers)
    .values({ ...addressOf(who), key })
    .returning();
  return row!;
}

/** A customer by number; of one that was merged, who it was found to be. */
export async function getCustomer(db: Reading, id: number): Promise<Customer | undefined> {
  const row = await db.query.customers.findFirst({ where: eq(customers.id, id) });
  return row?.mergedInto ? getCustomer(db, row.mergedInto) : row;
}

export interface CustomerLine extends Addressee {
  id: number;
  orders: number;
  lastAt: string | null;
}

const COLUMNS = {
  name: sql`c.name`,
  town: sql`c.town`,
  orders: sql`k.orders`,
  last: sql`k.last_at`,
};

/** Customers with how many orders each placed, those merged into them counted along. */
export async function customersPage(
  db: Reading,
  asked: Asked,
): Promise<Page<CustomerLine>> {
  const match = matchOf(asked.find);
  const found = match === null ? null : await foundOnce(db, idsFound('customer', match));
  return listPage<CustomerLine>(db, asked, {
    select: sql`c.id AS id, c.name AS name, c.street AS street, c.town AS town, c.country AS country,
      k.orders AS orders, k.last_at AS lastAt`,
    from:
      asked.sort === 'orders' || asked.sort === 'last'
        ? sql`customer_now k CROSS JOIN customer c ON c.id = k.customer_id`
        : sql`customer c CROSS JOIN customer_now k ON k.customer_id = c.id`,
    // The plus keeps the index of those that were merged out of it: the list is walked by name.
    where: sql`+c.merged_into IS NULL AND ${found ? sql`c.id IN ${found.among}` : sql`true`}`,
    total: found ? null : tallied('customer'),
    newestOnly: found?.newestOnly,
    columns: COLUMNS,
    usual: sql`lower(c.name), c.id`,
  });
}

/** Customers whose words are found, to be named by an order again. */
export function findCustomers(
  db: Reading,
  find: string,
  limit: number,
): Promise<Customer[]> {
  const match = matchOf(find);
  if (match === null) return Promise.resolve([]);
  return db
    .select()
    .from(customers)
    .where(
      sql`${customers.mergedInto} IS NULL AND ${customers.id} IN ${idsFound('customer', match)}`,
    )
    .orderBy(sql`lower(${customers.name})`)
    .limit(limit);
}

/** How many customers there are. */
export async function customerCount(db: Reading): Promise<number> {
  const [row] = await db.all<{ n: number }>(sql`SELECT ${tallied('customer')} AS n`);
  return row!.n;
}

/**
 * Merges a customer into another, by hand: its orders are the other's from now on, and an
 * order that names it again finds the other. Nothing that was sealed changes. Throws Refused.
 */
export async function mergeCustomers(
  tx: Writing,
  { from, into, at }: { from: number; into: number; at: string },
): Promise<void> {
  const [one, other] = await Promise.all([getCustomer(tx, from), getCustomer(tx, into)]);
  if (!one || !other) throw new Refused('gone');
  if (one.id === other.id) throw new Refused('sameCustomer');
  await tx
    .update(customers)
    .set({ mergedInto: other.id })
    .where(eq(customers.mergedInto, one.id));
  await tx
    .update(customers)
    .set({ mergedInto: other.id })
    .where(and(eq(customers.id, one.id), ne(customers.id, other.id)));
  await tell(tx, {
    at,
    what: 'customer.merged',
    detail: { name: one.name, town: one.town, into: other.name, intoTown: other.town },
  });
}

/** Orders of a customer, and of those merged into it, newest first. */
export const ordersOfCustomer = (
  db: Reading,
  id: number,
  limit: number,
): Promise<{ number: string; placedAt: string }[]> =>
  db
    .select({ number: orders.number, placedAt: orders.placedAt })
    .from(orders)
    .where(
      sql`${orders.customerId} = ${id} OR ${orders.customerId} IN (SELECT id FROM customer WHERE merged_into = ${id})`,
    )
    .orderBy(sql`${orders.id} DESC`)
    .limit(limit);

/** Customers that ordered last, to be named by an order again. */
export const knownCustomers = (
  db: Reading,
  limit: number,
): Promise<(Addressee & { id: number })[]> =>
  db.all(sql`
    SELECT c.id AS id, c.name AS name, c.street AS street, c.town AS town, c.country AS country
    FROM customer c WHERE c.merged_into IS NULL ORDER BY c.id DESC LIMIT ${limit}`);
