import { sql } from 'drizzle-orm';
import type { Series } from '@/core/edition';
import type { Reading } from '../database';
import { PAGE_LINES, matchOf, numberOf, offsetOf, orderOf } from '../page';
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
  /** Impressions spoiled and destroyed, over all printings. */
  spoiled: number;
}

const OUT = sql`(here + ordered + sold)`;
const COLUMNS = {
  work: sql`w.title`,
  size: sql`e.size_key`,
  of: sql`n.size`,
  aps: sql`n.artists_proofs`,
  here: sql`here`,
  ordered: sql`ordered`,
  sold: sql`sold`,
  left: sql`CASE n.kind WHEN 'open' THEN 1e9 ELSE n.size - ${OUT} END`,
};

const counted = sql`
  LEFT JOIN (
    SELECT edition_id,
      sum(series = 'number' AND state = 'numbered') AS here,
      sum(series = 'number' AND state = 'ordered') AS ordered,
      sum(series = 'number' AND state = 'sold') AS sold,
      sum(printing - (state <> 'spoiled')) AS spoiled
    FROM impression_now GROUP BY edition_id
  ) i ON i.edition_id = e.id`;

const columns = sql`
  e.id AS id, e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.kind AS kind,
  n.size AS "of", n.artists_proofs AS aps, coalesce(i.here, 0) AS here,
  coalesce(i.ordered, 0) AS ordered, coalesce(i.sold, 0) AS sold, coalesce(i.spoiled, 0) AS spoiled`;

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
export async function editionsPage(db: Reading, asked: Asked): Promise<Page<EditionLine>> {
  const where = found(asked.find);
  const rows = await db.all<EditionLine>(sql`
    SELECT ${columns}
    FROM edition e JOIN edition_now n ON n.edition_id = e.id JOIN work w ON w.id = e.work_id ${counted}
    WHERE ${where} ORDER BY ${orderOf(asked, COLUMNS, sql`e.id`)}
    LIMIT ${PAGE_LINES} OFFSET ${offsetOf(asked)}`);
  const [count] = await db.all<{ n: number }>(sql`
    SELECT count(*) AS n FROM edition e JOIN edition_now n ON n.edition_id = e.id WHERE ${where}`);
  return { rows, total: count?.n ?? 0, page: asked.page };
}

/** Editions declared, those with no number left to give, and numbers sold. */
export async function editionCounts(
  db: Reading,
): Promise<{ declared: number; closed: number; sold: number }> {
  const [row] = await db.all<{ declared: number; closed: number; sold: number }>(sql`
    SELECT count(*) AS declared,
      coalesce(sum(n.kind = 'limited' AND n.size <= coalesce(i.out, 0)), 0) AS closed,
      coalesce(sum(i.sold), 0) AS sold
    FROM edition_now n LEFT JOIN (
      SELECT edition_id, sum(state <> 'spoiled') AS "out", sum(state = 'sold') AS sold
      FROM impression_now WHERE series = 'number' GROUP BY edition_id
    ) i ON i.edition_id = n.edition_id`);
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
      n.size - coalesce(i.out, 0) AS "left"
    FROM edition_now n JOIN edition e ON e.id = n.edition_id JOIN work w ON w.id = e.work_id
    LEFT JOIN (
      SELECT edition_id, count(*) AS "out" FROM impression_now
      WHERE series = 'number' AND state <> 'spoiled' GROUP BY edition_id
    ) i ON i.edition_id = n.edition_id
    WHERE n.kind = 'limited' AND n.size - coalesce(i.out, 0) <= n.size * ${share}
    ORDER BY "left", e.id LIMIT ${limit}`);

export interface FreeImpression {
  editionId: number;
  series: Series;
  number: number;
  workId: number;
  work: string;
  /** The size it was printed at, or `all` when the edition is over all sizes. */
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
      e.work_id AS workId, w.title AS work, e.size_key AS sizeKey, n.kind AS kind,
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
