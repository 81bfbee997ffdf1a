import { asc, eq, isNull } from 'drizzle-orm';
import { customerKey } from '@/core/order';
import { customers } from '../schema';
import type { CarryStep } from './step';

/** Each order had a customer of its own; those that are one by name and address become one. */
export const mergeSameCustomers: CarryStep = {
  name: 'one row a customer',
  async run(tx) {
    const first = new Map<string, number>();
    const rows = await tx
      .select()
      .from(customers)
      .where(isNull(customers.mergedInto))
      .orderBy(asc(customers.id));
    for (const row of rows) {
      const key = customerKey(row);
      const known = first.get(key);
      if (known === undefined) first.set(key, row.id);
      await tx
        .update(customers)
        .set(known === undefined ? { key } : { key: null, mergedInto: known })
        .where(eq(customers.id, row.id));
    }
  },
};
