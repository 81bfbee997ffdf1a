import { dayIn } from '@/core/days';
import { currencyDigits } from '@/core/units';
import type { CsvCell } from '@/documents';
import { loadProofs } from './view';

/** Proof rounds as they are listed. */
export async function proofsCsv(query: Record<string, string | undefined>, lines: number) {
  const { page, timeZone } = await loadProofs(query, lines);
  const day = (at: string | null) => (at === null ? null : dayIn(at, timeZone));
  return {
    heads: [
      'round of',
      'work',
      'size',
      'paper',
      'round',
      'sent',
      'back',
      'cost',
      'currency',
      'verdict',
      'seen',
      'remarks',
    ],
    rows: page.rows.map((r): CsvCell[] => [
      r.id,
      r.work,
      r.size,
      r.paper,
      r.round,
      day(r.sentAt),
      day(r.backAt),
      r.cost / 10 ** currencyDigits(r.currency),
      r.currency,
      r.verdict,
      r.seen,
      r.remarks,
    ]),
  };
}
