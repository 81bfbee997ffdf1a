import { eq, sql } from 'drizzle-orm';
import type { BoughtKind } from '@/core/paper';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { purchaseEnds, purchases } from '../schema';

export type PurchaseRow = typeof purchases.$inferSelect;

/** What was ordered and did not come yet; of an ink with its printer. */
export interface OnItsWay extends PurchaseRow {
  printerId: number | null;
}

/**
 * Neither called off nor delivered: what was noted to come in after it was ordered ends it,
 * however much that was. What is left then says whether more is to be ordered.
 */
const UNDER_WAY =
  sql.raw(`NOT EXISTS (SELECT 1 FROM purchase_end e WHERE e.purchase_id = purchase.id)
  AND CASE purchase.kind
    WHEN 'paper' THEN NOT EXISTS (SELECT 1 FROM lot l
      WHERE l.paper_id = purchase.ref AND l.left_over = 0 AND l.at > purchase.at)
    WHEN 'material' THEN NOT EXISTS (SELECT 1 FROM movement m
      WHERE m.of = 'material' AND m.ref = purchase.ref AND m.pieces > 0 AND m.at > purchase.at)
    ELSE NOT EXISTS (SELECT 1 FROM ink_event i
      WHERE i.ink_id = purchase.ref AND i.kind = 'bought' AND i.at > purchase.at
        AND NOT EXISTS (SELECT 1 FROM ink_event b WHERE b.undoes = i.id))
  END`);

/** What is on its way, what comes first at the top; what nobody said a day of last. */
export async function purchasesOnTheWay(db: Reading): Promise<OnItsWay[]> {
  const rows = await db
    .select()
    .from(purchases)
    .where(UNDER_WAY)
    .orderBy(sql`coalesce(${purchases.comesOn}, '9999')`, purchases.id);
  const inks = rows.some((r) => r.kind === 'ink')
    ? await db.query.printerInks.findMany({ columns: { id: true, printerId: true } })
    : [];
  return rows.map((row) => ({
    ...row,
    printerId:
      row.kind === 'ink' ? (inks.find((i) => i.id === row.ref)?.printerId ?? null) : null,
  }));
}

/** What is on its way of one thing; null for nothing. */
export const onItsWayOf = async (
  db: Reading,
  kind: BoughtKind,
  ref: number,
): Promise<OnItsWay | null> =>
  (await purchasesOnTheWay(db)).find((p) => p.kind === kind && p.ref === ref) ?? null;

const told = ({ name, quantity, supplier }: Omit<PurchaseRow, 'id'>) => ({
  name,
  quantity,
  supplier,
});

/** Notes that something was ordered. Throws Refused `onItsWay` where it was already, and has not come. */
export async function addPurchase(
  tx: Writing,
  purchase: Omit<PurchaseRow, 'id'>,
): Promise<number> {
  const { kind, ref, at } = purchase;
  if (await onItsWayOf(tx, kind, ref)) throw new Refused('onItsWay');
  const detail = told(purchase);
  return (await record(tx, purchases, purchase, { at, what: 'purchase.ordered', detail }))
    .id;
}

/** Notes that what was ordered does not come. Throws Refused `gone`, `ended`. */
export async function endPurchase(
  tx: Writing,
  { id, at }: { id: number; at: string },
): Promise<void> {
  const purchase = await tx.query.purchases.findFirst({ where: eq(purchases.id, id) });
  if (!purchase) throw new Refused('gone');
  if (!(await purchasesOnTheWay(tx)).some((p) => p.id === id)) throw new Refused('ended');
  const detail = told(purchase);
  await record(
    tx,
    purchaseEnds,
    { purchaseId: id, at },
    { at, what: 'purchase.ended', detail },
  );
}
