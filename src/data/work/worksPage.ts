import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { matchOf } from '../page';
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
  const byFile = asked.sort === 'mp';
  const page = await listPage<{ id: number }>(db, asked, {
    select: sql`w.id AS id
      ${asked.sort === 'sizes' ? sql`, (SELECT count(*) FROM size_now s WHERE s.work_id = w.id AND s.kind = 'offered') AS sizes` : sql``}
      ${asked.sort === 'sold' ? sql`, (SELECT count(*) FROM line_now l WHERE l.work_id = w.id AND l.state = 'shipped') AS sold` : sql``}`,
    from: sql`work w
      ${byFile ? sql`LEFT JOIN master_now mn ON mn.work_id = w.id LEFT JOIN master m ON m.id = mn.master_id LEFT JOIN file f ON f.sha256 = m.sha256` : sql``}`,
    countFrom: sql`work w`,
    where: found(asked.find),
    columns: COLUMNS,
    usual: sql`w.id DESC`,
  });
  return { ...page, rows: page.rows.map((r) => r.id) };
}

/** The works of a choice list: newest first, as many as a list can show. */
export const workTitles = (
  db: Reading,
  limit: number,
): Promise<{ id: number; title: string }[]> =>
  db.all(sql`SELECT id, title FROM work ORDER BY title LIMIT ${limit}`);
