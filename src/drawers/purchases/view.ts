import type { Minor } from '@/core/units';
import { readSettings } from '@/data';
import { purchases, studio, todayOf } from '@/studio';
import type { SupplierList } from '@/studio';
import { WITHIN } from './within';

/** What a list comes to, in each currency of its prices. */
export function totalsOf({ lines }: SupplierList): { amount: Minor; currency: string }[] {
  const sums = new Map<string, number>();
  for (const { each, quantity, currency } of lines)
    sums.set(currency, (sums.get(currency) ?? 0) + each * quantity);
  return [...sums].map(([currency, amount]) => ({ amount: amount as Minor, currency }));
}

/** What is to be ordered within some days, by supplier. */
export async function loadPurchases(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const within = WITHIN.find((d) => d === query.within) ?? '30';
  const lists = await purchases(db, today, Number(within));
  return {
    within,
    today,
    lists: lists.map((list) => ({ ...list, totals: totalsOf(list) })),
    settings,
  };
}

export type PurchasesView = Awaited<ReturnType<typeof loadPurchases>>;
