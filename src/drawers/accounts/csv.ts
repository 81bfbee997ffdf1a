import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { loadAccounts } from './view';

/** What was sold, as it is listed. */
export async function accountsCsv(
  query: Record<string, string | undefined>,
  lines: number,
) {
  const { page } = await loadAccounts(query, lines);
  return {
    heads: [
      'work',
      'title',
      'size',
      'channel',
      'sold',
      'gross',
      'net',
      'postage',
      'currency',
      'not reckoned',
      'by usual fees',
    ],
    rows: page.rows.map((r): CsvCell[] => {
      const amount = (minor: number) => minor / 10 ** currencyDigits(r.currency);
      return [
        r.workId,
        r.work,
        r.size,
        r.channel,
        r.sold,
        amount(r.gross),
        amount(r.net),
        amount(r.postage),
        r.currency,
        r.unreckoned,
        r.usualFees,
      ];
    }),
  };
}
