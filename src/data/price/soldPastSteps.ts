import { sql } from 'drizzle-orm';
import { PRICE_LADDER } from '@/core/price';
import type { EditionSteps } from '@/core/price';
import type { Reading } from '../reading';

/** A limited edition on a ladder with steps that sold something since its price was kept. */
export interface SoldSince {
  workId: number;
  work: string;
  sizeKey: string;
  /** N of it. */
  of: number;
  /** Numbers that were given away when its price was kept, and that are now. */
  before: number;
  sold: number;
  steps: EditionSteps;
}

/** Numbers given away until an instant: ordered, less those released or come back. */
const givenUntil = (until: ReturnType<typeof sql>) => sql`
  (SELECT coalesce(sum(CASE g.kind WHEN 'ordered' THEN 1 WHEN 'released' THEN -1
    WHEN 'returned' THEN -1 ELSE 0 END), 0)
  FROM ledger g WHERE g.edition_id = e.id AND g.series = 'number' AND g.at <= ${until})`;

/**
 * Editions of works with a ladder whose price stands as it was kept while more of them was sold.
 * Of a work the ladder that was kept last counts, of a size the price; the later of both days is
 * when it was kept.
 */
export async function soldPastSteps(db: Reading, limit: number): Promise<SoldSince[]> {
  const rows = await db.all<Omit<SoldSince, 'steps'> & { terms: string }>(sql`
    SELECT * FROM (
      SELECT p.work_id AS workId, w.title AS work, p.size_key AS sizeKey, n.size AS "of",
        ${givenUntil(sql`max(p.at, k.at)`)} AS "before", ${givenUntil(sql`'9999'`)} AS sold,
        k.terms AS terms
      FROM price_ladder k JOIN work w ON w.id = k.work_id
      JOIN price_now c ON c.work_id = k.work_id JOIN price p ON p.id = c.price_id
      JOIN edition e ON e.work_id = k.work_id AND e.size_key IN (p.size_key, 'all')
      JOIN edition_now n ON n.edition_id = e.id AND n.kind = 'limited'
      WHERE k.id = (SELECT max(x.id) FROM price_ladder x WHERE x.work_id = k.work_id)
        AND p.currency = k.currency)
    WHERE sold > "before" ORDER BY workId, sizeKey LIMIT ${limit}`);
  return rows.flatMap(({ terms, ...row }) => {
    const { steps } = PRICE_LADDER.read(JSON.parse(terms));
    return steps ? [{ ...row, steps }] : [];
  });
}
