import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { ChannelSales, Expense } from '@/core/price';
import type { Reading, Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { expenses } from '../schema';

export type ExpenseRow = typeof expenses.$inferSelect;

/** Writes down what was paid beside sales. */
export async function addExpense(
  tx: Writing,
  row: Omit<ExpenseRow, 'id' | 'takesBack'>,
): Promise<void> {
  const { at, workId, sizeKey, kind, channel, amount, currency, onDay, note } = row;
  await record(
    tx,
    expenses,
    { ...row, takesBack: null },
    {
      at,
      what: 'expense.paid',
      workId: workId ?? undefined,
      sizeKey: sizeKey ?? undefined,
      detail: { kind, channel, amount, currency, onDay, note },
    },
  );
}

/** What stands: neither taken back nor taking back. */
const stands = and(
  isNull(expenses.takesBack),
  sql`NOT EXISTS (SELECT 1 FROM expense b WHERE b.takes_back = ${expenses.id})`,
);

/** Takes back what was noted wrongly; both rows stay. Throws Refused `noExpense`. */
export async function takeBackExpense(tx: Writing, id: number, at: string): Promise<void> {
  const [row] = await tx
    .select()
    .from(expenses)
    .where(and(eq(expenses.id, id), stands));
  if (!row) throw new Refused('noExpense');
  const { id: takesBack, kind, channel, amount, currency, onDay, note, workId } = row;
  await record(
    tx,
    expenses,
    { ...row, id: undefined, takesBack, at },
    {
      at,
      what: 'expense.takenBack',
      workId: workId ?? undefined,
      sizeKey: row.sizeKey ?? undefined,
      detail: { kind, channel, amount, currency, onDay, note },
    },
  );
}

/** What was paid beside sales and stands, the newest day first; of one work, if one is given. */
export const expensesOf = (
  db: Reading,
  { workId, limit }: { workId?: number; limit: number },
): Promise<ExpenseRow[]> =>
  db
    .select()
    .from(expenses)
    .where(workId === undefined ? stands : and(stands, eq(expenses.workId, workId)))
    .orderBy(desc(expenses.onDay), desc(expenses.id))
    .limit(limit);

/** All that was paid beside sales: sums by kind, channel and currency. */
export async function expenseSums(db: Reading): Promise<Expense[]> {
  const rows = await db
    .select({
      kind: expenses.kind,
      channel: expenses.channel,
      currency: expenses.currency,
      amount: sql<number>`sum(${expenses.amount})`,
    })
    .from(expenses)
    .where(stands)
    .groupBy(expenses.kind, expenses.channel, expenses.currency)
    .orderBy(asc(expenses.channel), asc(expenses.kind));
  return rows;
}

/** What sales left, by channel and currency. */
export const channelSales = (db: Reading): Promise<ChannelSales[]> =>
  db.all(sql`
    SELECT channel, currency, sum(sold) AS sold, sum(gross_minor) AS gross,
      sum(net_minor) AS net, sum(unreckoned) AS unreckoned
    FROM sale_now GROUP BY channel, currency ORDER BY gross DESC`);
