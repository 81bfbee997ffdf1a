import { sql } from 'drizzle-orm';
import type { Reading } from '../database';
import { PAGE_LINES, matchOf, offsetOf, orderOf } from '../page';
import type { Asked, Page } from '../page';

const COLUMNS = {
  title: sql`w.title`,
  size: sql`w.width_mm * w.height_mm`,
  mp: sql`f.width_px * f.height_px`,
  sizes: sql`sizes`,
  sold: sql`sold`,
};

/** Works whose words are found. */
const found = (find: string) => {
  const match = matchOf(find);
  return match === null
    ? sql`true`
    : sql`w.id IN (SELECT ref FROM search WHERE search MATCH ${match} AND kind = 'work')`;
};

/** One page of the works drawer: ids in order. Newest first unless asked otherwise. */
export async function worksPage(db: Reading, asked: Asked): Promise<Page<number>> {
  const where = found(asked.find);
  const byFile = asked.sort === 'mp';
  const rows = await db.all<{ id: number }>(sql`
    SELECT w.id AS id
      ${asked.sort === 'sizes' ? sql`, (SELECT count(*) FROM size_now s WHERE s.work_id = w.id AND s.kind = 'offered') AS sizes` : sql``}
      ${asked.sort === 'sold' ? sql`, (SELECT count(*) FROM orders o JOIN order_now n ON n.order_id = o.id WHERE o.work_id = w.id AND n.shipped_at IS NOT NULL) AS sold` : sql``}
    FROM work w
    ${byFile ? sql`LEFT JOIN master_now mn ON mn.work_id = w.id LEFT JOIN master m ON m.id = mn.master_id LEFT JOIN file f ON f.sha256 = m.sha256` : sql``}
    WHERE ${where}
    ORDER BY ${orderOf(asked, COLUMNS, sql`w.id DESC`)}
    LIMIT ${PAGE_LINES} OFFSET ${offsetOf(asked)}`);
  const [count] = await db.all<{ n: number }>(
    sql`SELECT count(*) AS n FROM work w WHERE ${where}`,
  );
  return { rows: rows.map((r) => r.id), total: count?.n ?? 0, page: asked.page };
}

/** The works of a choice list: newest first, as many as a list can show. */
export const workTitles = (
  db: Reading,
  limit: number,
): Promise<{ id: number; title: string }[]> =>
  db.all(sql`SELECT id, title FROM work ORDER BY title LIMIT ${limit}`);
