import { sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { numberOf, tallied, wordsFound } from '../page';
import type { Asked, Page } from '../page';

export interface EditionLine {
  id: number;
  workId: number;
  work: string;
  sizeKey: string;
  kind: 'limited' | 'open';
  /** N; 0 for an open edition. */
  of: number;
  aps: number;
  here: number;
  ordered: number;
  sold: number;
  /** Numbers that are out, wherever they are. */
  out: number;
  /** Impressions spoiled and destroyed, over all printings. */
  spoiled: number;
}

const COLUMNS = {
  work: sql`w.title`,
  size: sql`e.size_key`,
  of: sql`n.size`,
  aps: sql`n.artists_proofs`,
  here: sql`n.here`,
  ordered: sql`n.ordered`,
  sold: sql`n.sold`,
  left: sql`CASE n.kind WHEN 'open' THEN 1e9 ELSE n.size - n."out" END`,
};

/** Numbers that hang elsewhere and are in no order: they are not here. */
const away = sql`(SELECT count(*) FROM consigned_print c
  JOIN impression_now p ON p.edition_id = c.edition_id AND p.series = c.series AND p.number = c.impression
  WHERE c.edition_id = e.id AND c.series = 'number' AND p.state = 'numbered'
    AND NOT EXISTS (SELECT 1 FROM consigned_end d WHERE d.consigned_id = c.id))`;

const columns = sql`
  e.id AS id, e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.kind AS kind,
  n.size AS "of", n.artists_proofs AS aps, n.here - ${away} AS here,
  n.ordered AS ordered, n.sold AS sold, n."out" AS "out", n.spoiled AS spoiled`;

function found(find: string) {
  const pencilled = numberOf(find);
  if (pencilled)
    return sql`n.size = ${pencilled.of} AND EXISTS (SELECT 1 FROM impression_now p
      WHERE p.edition_id = e.id AND p.series = 'number' AND p.number = ${pencilled.number})`;
  return wordsFound(sql`e.work_id`, 'work', find);
}

/** One page of editions, in the order of their declaration unless asked otherwise. */
export const editionsPage = (db: Reading, asked: Asked): Promise<Page<EditionLine>> =>
  listPage<EditionLine>(db, asked, {
    select: columns,
    from: sql`edition e JOIN edition_now n ON n.edition_id = e.id JOIN work w ON w.id = e.work_id`,
    countFrom: sql`edition e JOIN edition_now n ON n.edition_id = e.id`,
    where: found(asked.find),
    total: asked.find === '' ? tallied('edition') : null,
    columns: COLUMNS,
    usual: sql`e.id`,
  });

/** Editions declared, those with no number left to give, and numbers sold. */
export async function editionCounts(
  db: Reading,
): Promise<{ declared: number; closed: number; sold: number }> {
  const [row] = await db.all<{ declared: number; closed: number; sold: number }>(sql`
    SELECT ${tallied('edition')} AS declared, ${tallied('edition.closed')} AS closed,
      ${tallied('edition.sold')} AS sold`);
  return row!;
}

/** Limited editions of which at most this share is left to give, the smallest share first. */
export const nearlyClosed = (
  db: Reading,
  share: number,
  limit: number,
): Promise<{ workId: number; work: string; sizeKey: string; of: number; left: number }[]> =>
  db.all(sql`
    SELECT e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.size AS "of",
      n.size - n."out" AS "left"
    FROM edition_now n INDEXED BY edition_now_left
    CROSS JOIN edition e ON e.id = n.edition_id JOIN work w ON w.id = e.work_id
    WHERE n.kind = 'limited' AND (n.size - n."out") * 1.0 / n.size <= ${share}
    ORDER BY (n.size - n."out") * 1.0 / n.size, n.edition_id LIMIT ${limit}`);

export interface FreeImpression {
  editionId: number;
  series: Series;
  number: number;
  workId: number;
  work: string;
  /** The size it was printed at. */
  sizeKey: string;
  kind: 'limited' | 'open';
  of: number;
  aps: number;
}

/** Numbered impressions that are here, in no order and not lent out: of one work, or as found. */
export const freeImpressions = (
  db: Reading,
  { workId, find = '' }: { workId?: number; find?: string },
  limit: number,
): Promise<FreeImpression[]> => {
  const pencilled = numberOf(find);
  return db.all(sql`
    SELECT i.edition_id AS editionId, i.series AS series, i.number AS number,
      e.work_id AS workId, w.title AS work, i.size_key AS sizeKey, n.kind AS kind,
      n.size AS "of", n.artists_proofs AS aps
    FROM impression_now i
    JOIN edition e ON e.id = i.edition_id
    JOIN edition_now n ON n.edition_id = i.edition_id
    JOIN work w ON w.id = e.work_id
    WHERE i.state = 'numbered'
      AND NOT EXISTS (SELECT 1 FROM consigned_print c WHERE c.edition_id = i.edition_id
        AND c.series = i.series AND c.impression = i.number
        AND NOT EXISTS (SELECT 1 FROM consigned_end d WHERE d.consigned_id = c.id))
      AND ${workId ? sql`e.work_id = ${workId}` : sql`true`}
      AND ${found(find)}
      AND ${pencilled ? sql`i.number = ${pencilled.number}` : sql`true`}
    ORDER BY i.edition_id, i.series DESC, i.number LIMIT ${limit}`);
};

/** Sizes on offer whose prints belong to no limited edition: of one work, or as found. */
export const openSizes = (
  db: Reading,
  { workId, find = '' }: { workId?: number; find?: string },
  limit: number,
): Promise<{ workId: number; work: string; sizeKey: string }[]> =>
  db.all(sql`
    SELECT s.work_id AS workId, w.title AS work, s.size_key AS sizeKey
    FROM open_size s CROSS JOIN work w ON w.id = s.work_id
    WHERE ${workId ? sql`s.work_id = ${workId}` : sql`true`}
      AND ${wordsFound(sql`s.work_id`, 'work', find)}
    ORDER BY s.event_id LIMIT ${limit}`);
