import { sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { tallied, wordsFound } from '../page';
import type { Asked, Page } from '../page';

const COLUMNS = {
  title: sql`w.title`,
  size: sql`w.width_mm * w.height_mm`,
  mp: sql`k.pixels`,
  sizes: sql`k.sizes`,
  sold: sql`k.sold`,
};

/** One page of the works drawer: ids in order. Newest first unless asked otherwise. */
export async function worksPage(db: Reading, asked: Asked): Promise<Page<number>> {
  const counted = ['mp', 'sizes', 'sold'].includes(asked.sort ?? '');
  const page = await listPage<{ id: number }>(db, asked, {
    select: sql`w.id AS id`,
    from: counted ? sql`work_now k CROSS JOIN work w ON w.id = k.work_id` : sql`work w`,
    countFrom: sql`work w`,
    where: wordsFound(sql`w.id`, 'work', asked.find),
    total: asked.find === '' ? tallied('work') : null,
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
