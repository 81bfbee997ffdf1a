import type { CsvCell } from '@/documents';
import { loadEditions } from './view';

/** Editions as they are listed; of an open one, nothing is left to count. */
export async function editionsCsv(
  query: Record<string, string | undefined>,
  lines: number,
) {
  const { page } = await loadEditions({ ...query, code: undefined }, lines);
  return {
    heads: [
      'edition',
      'work',
      'size',
      'of',
      'artist’s proofs',
      'here',
      'ordered',
      'sold',
      'left',
      'spoiled',
    ],
    rows: page.rows.map((r): CsvCell[] => [
      r.id,
      r.work,
      r.size,
      r.of,
      r.aps,
      r.here,
      r.ordered,
      r.sold,
      r.left,
      r.spoiled,
    ]),
  };
}
