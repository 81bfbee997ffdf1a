import { nominalSize } from '@/core/sizing';
import { ALL, askedOf, readSettings, salesPage, salesSums } from '@/data';
import { studio } from '@/studio';

/** What was sold, by work and size: gross, what the channel and the making took, and what stayed. */
export async function loadAccounts(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const asked = askedOf(query);
  const [page, best, sums, settings] = await Promise.all([
    salesPage(db, asked),
    salesPage(db, ALL),
    salesSums(db),
    readSettings(db),
  ]);
  const sized = <T extends { sizeKey: string }>(row: T) => ({
    ...row,
    size: nominalSize(row.sizeKey)?.label ?? '',
  });
  return {
    page: { ...page, rows: page.rows.map(sized) },
    asked,
    best: best.rows[0] ? sized(best.rows[0]) : null,
    sums,
    currency: settings.currency,
  };
}

export type AccountsView = Awaited<ReturnType<typeof loadAccounts>>;
