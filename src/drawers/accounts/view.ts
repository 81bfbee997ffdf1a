import { nominalSize } from '@/core/size';
import { accountsByChannel } from '@/core/price';
import {
  ALL,
  askedOf,
  channelSales,
  channelTermsNow,
  expenseSums,
  expensesOf,
  readSettings,
  salesPage,
  salesSums,
} from '@/data';
import { studio, todayOf } from '@/studio';

/** Of what was paid beside sales so many are shown. */
const LATELY = 30;

/** What was sold, by work and size: gross, what channel, carrier and making took, and what stayed. */
export async function loadAccounts(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const page = await salesPage(db, asked);
  const asUsual = asked.sort === null && asked.find === '' && asked.page === 1;
  const settings = await readSettings(db);
  const [best, sums, byChannel, beside, paid, terms] = await Promise.all([
    asUsual ? page : salesPage(db, ALL),
    salesSums(db),
    channelSales(db),
    expenseSums(db),
    expensesOf(db, { limit: LATELY }),
    channelTermsNow(db),
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
    /** What sales through each channel left, what was paid beside them, what stays of both. */
    channels: accountsByChannel(byChannel, beside),
    paid,
    paying: query.paid === '1',
    today: todayOf(settings),
    /** What each channel asks beside its sales, in the currency of the bench. */
    terms: terms
      .filter((t) => t.currency === settings.currency)
      .map(({ channel, terms: t }) => ({ channel, perMonth: t.perMonth, day: t.day })),
    sold: sums.reduce((total, s) => total + s.sold, 0),
  };
}

export type AccountsView = Awaited<ReturnType<typeof loadAccounts>>;
