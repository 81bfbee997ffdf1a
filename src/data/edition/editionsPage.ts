import { sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Reading } from '../reading';
import { listPage } from '../listPage';
import { matchOf, numberOf } from '../page';
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

const columns = sql`
  e.id AS id, e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.kind AS kind,
  n.size AS "of", n.artists_proofs AS aps, n.here AS here,
  n.ordered AS ordered, n.sold AS sold, n."out" AS "out", n.spoiled AS spoiled`;

function found(find: string) {
  const pencilled = numberOf(find);
  if (pencilled)
    return sql`n.size = ${pencilled.of} AND EXISTS (SELECT 1 FROM impression_now p
      WHERE p.edition_id = e.id AND p.series = 'number' AND p.number = ${pencilled.number})`;
  const match = matchOf(find);
  return match === null
    ? sql`true`
    : sql`e.work_id IN (SELECT ref FROM search WHERE search MATCH ${match} AND kind = 'work')`;
}

/** One page of editions, in the order of their declaration unless asked otherwise. */
export const editionsPage = (db: Reading, asked: Asked): Promise<Page<EditionLine>> =>
  listPage<EditionLine>(db, asked, {
    select: columns,
    from: sql`edition e JOIN edition_now n ON n.edition_id = e.id JOIN work w ON w.id = e.work_id`,
    countFrom: sql`edition e JOIN edition_now n ON n.edition_id = e.id`,
    where: found(asked.find),
    columns: COLUMNS,
    usual: sql`e.id`,
  });

/** Editions declared, those with no number left to give, and numbers sold. */
export async function editionCounts(
  db: Reading,
): Promise<{ declared: number; closed: number; sold: number }> {
  const [row] = await db.all<{ declared: number; closed: number; sold: number }>(sql`
    SELECT count(*) AS declared,
      coalesce(sum(kind = 'limited' AND size <= "out"), 0) AS closed,
      coalesce(sum(sold), 0) AS sold
    FROM edition_now`);
  return row!;
}

/** Limited editions of which at most this share is left to give, the fewest first. */
export const nearlyClosed = (
  db: Reading,
  share: number,
  limit: number,
): Promise<{ workId: number; work: string; sizeKey: string; of: number; left: number }[]> =>
  db.all(sql`
    SELECT e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.size AS "of",
      n.size - n."out" AS "left"
    FROM edition_now n JOIN edition e ON e.id = n.edition_id JOIN work w ON w.id = e.work_id
    WHERE n.kind = 'limited' AND n.size - n."out" <= n.size * ${share}
    ORDER BY "left", e.id LIMIT ${limit}`);

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

/** Numbered impressions that are here and in no order: of one work, or as found. */
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
): Promise<{ workId: number; work: string; sizeKey: string }[]> => {
  const match = matchOf(find);
  return db.all(sql`
    SELECT s.work_id AS workId, w.title AS work, s.size_key AS sizeKey
    FROM size_now s JOIN work w ON w.id = s.work_id
    WHERE s.kind = 'offered'
      AND ${workId ? sql`s.work_id = ${workId}` : sql`true`}
      AND ${match === null ? sql`true` : sql`s.work_id IN (SELECT ref FROM search WHERE search MATCH ${match} AND kind = 'work')`}
      AND NOT EXISTS (SELECT 1 FROM edition e JOIN edition_now n ON n.edition_id = e.id
        WHERE e.work_id = s.work_id AND e.size_key IN (s.size_key, 'all') AND n.kind = 'limited')
    ORDER BY s.event_id LIMIT ${limit}`);
};
