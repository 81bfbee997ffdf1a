import type { CsvCell } from '@/documents';
import { loadWorks } from './view';

/** Works as they are listed, lengths in mm. */
export async function worksCsv(query: Record<string, string | undefined>, lines: number) {
  const { page } = await loadWorks(query, lines);
  return {
    heads: [
      'work',
      'title',
      'medium',
      'year',
      'width mm',
      'height mm',
      'megapixels',
      'sizes on offer',
      'orders open',
      'sold',
      'next station',
    ],
    rows: page.rows.map(({ work: w, ...r }): CsvCell[] => [
      w.id,
      w.title,
      w.medium,
      w.year,
      w.width,
      w.height,
      r.megapixels === null ? null : Number(r.megapixels.toFixed(2)),
      r.sizes,
      r.ordersOpen,
      r.sold,
      r.next,
    ]),
  };
}
