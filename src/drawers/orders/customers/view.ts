import {
  askedOf,
  customersPage,
  findCustomers,
  getCustomer,
  ordersOfCustomer,
  readSettings,
} from '@/data';
import { rowId, studio } from '@/studio';

const MOST = 12;

/** The customers, one of them with its orders, and who it may be the same as. */
export async function loadCustomers(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const page = await customersPage(db, asked);
  const id = rowId(query.customer ?? '');
  const picked = id ? await getCustomer(db, id) : undefined;
  const alike = picked
    ? await findCustomers(db, picked.name.split(' ')[0] ?? '', MOST)
    : [];
  return {
    timeZone: (await readSettings(db)).timeZone,
    page,
    asked,
    picked: picked
      ? {
          ...picked,
          orders: await ordersOfCustomer(db, picked.id, MOST),
          alike: alike.filter((c) => c.id !== picked.id),
        }
      : null,
  };
}

export type CustomersView = Awaited<ReturnType<typeof loadCustomers>>;
