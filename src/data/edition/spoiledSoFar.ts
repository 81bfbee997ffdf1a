import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';

/** Impressions of all editions that are out, and those that were spoiled. */
export async function spoiledSoFar(
  db: Reading,
): Promise<{ good: number; spoiled: number }> {
  const [row] = await db.all<{ good: number; spoiled: number }>(
    sql`SELECT coalesce(sum("out"), 0) AS good, coalesce(sum(spoiled), 0) AS spoiled FROM edition_now`,
  );
  return row!;
}
