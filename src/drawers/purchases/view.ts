import type { Minor } from '@/core/units';
import { daysAfter } from '@/core/days';
import { purchasesOnTheWay, readSettings } from '@/data';
import { purchases, studio, todayOf } from '@/studio';
import type { SupplierList } from '@/studio';
import { boughtHref } from '@/studio/words/boughtWords';
import { WITHIN } from './within';

/** What a list comes to, in each currency of its prices. */
export function totalsOf({ lines }: SupplierList): { amount: Minor; currency: string }[] {
  const sums = new Map<string, number>();
  for (const { each, quantity, currency } of lines)
    sums.set(currency, (sums.get(currency) ?? 0) + each * quantity);
  return [...sums].map(([currency, amount]) => ({ amount: amount as Minor, currency }));
}

/** What is to be ordered within some days, by supplier; what is on its way; the line that is being ordered. */
export async function loadPurchases(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const within = WITHIN.find((d) => d === query.within) ?? '30';
  const [lists, coming] = await Promise.all([
    purchases(db, today, Number(within)),
    purchasesOnTheWay(db),
  ]);
  const line = lists
    .flatMap((l) => l.lines)
    .find((p) => `${p.kind}:${p.id}` === query.ordered);
  return {
    within,
    today,
    lists: lists.map((list) => ({ ...list, totals: totalsOf(list) })),
    coming: coming.map((p) => ({
      ...p,
      href: boughtHref(p.kind, p.ref, p.printerId),
      late: p.comesOn !== null && p.comesOn < today,
    })),
    ordering: line && {
      ...line,
      comesOn: line.deliveryDays === null ? null : daysAfter(today, line.deliveryDays),
    },
    settings,
  };
}

export type PurchasesView = Awaited<ReturnType<typeof loadPurchases>>;
