import { nominalSize } from '@/core/size';
import { ALL, askedOf, salesPage, salesSums } from '@/data';
import { studio } from '@/studio';

/** What was sold, by work and size: gross, what channel, carrier and making took, and what stayed. */
export async function loadAccounts(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const page = await salesPage(db, asked);
  const asUsual = asked.sort === null && asked.find === '' && asked.page === 1;
  const [best, sums] = await Promise.all([
    asUsual ? page : salesPage(db, ALL),
    salesSums(db),
  ]);
  const sized = <T extends { sizeKey: string }>(row: T) => ({
    ...row,
    // Of one piece, so that a sentence does not break within it.
    size: (nominalSize(row.sizeKey)?.label ?? '').replaceAll(' ', '\u00a0'),
  });
  return {
    page: { ...page, rows: page.rows.map(sized) },
    asked,
    best: best.rows[0] ? sized(best.rows[0]) : null,
    /** One for each currency that anything was sold in, the largest first. */
    sums,
    sold: sums.reduce((total, s) => total + s.sold, 0),
  };
}

export type AccountsView = Awaited<ReturnType<typeof loadAccounts>>;
