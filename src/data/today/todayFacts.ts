import { sql } from 'drizzle-orm';
import { derivedSize } from '@/core/capture/derivation';
import type { Derivation } from '@/core/capture/derivation';
import { READING_VERSION } from '@/core/capture/reading';
import { LAYOUT } from '@/core/size';
import type { Layout, MasterPixels } from '@/core/size';
import type { Reading } from '../reading';
import { cropsOf } from '../capture/masters';
import { cropChoicesNow } from '../size/sizes';

/** Orders that have not left, the earliest day first. */
export const ordersDue = (
  db: Reading,
  limit: number,
): Promise<
  { number: string; what: string; more: number; customer: string; due: string }[]
> =>
  db.all(sql`
    SELECT o.number AS number, coalesce(w.title, l.name, '') AS what, max(0, n.lines - 1) AS more,
      c.name AS customer, n.due_on AS due
    FROM order_now n INDEXED BY order_now_waiting CROSS JOIN orders o ON o.id = n.order_id
    JOIN customer c ON c.id = o.customer_id
    LEFT JOIN order_line l ON l.id = (SELECT min(x.line_id) FROM line_now x WHERE x.order_id = o.id AND x.state <> 'removed')
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.state IN ('open', 'sealed') ORDER BY n.due_on LIMIT ${limit}`);

/** Orders that are late, and that leave from `today` to `until`; ISO days. */
export async function dueCounts(
  db: Reading,
  today: string,
  until: string,
): Promise<{ late: number; due: number }> {
  const [row] = await db.all<{ late: number; due: number }>(sql`
    SELECT (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed') AND due_on < ${today}) AS late,
      (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed') AND due_on BETWEEN ${today} AND ${until}) AS due`);
  return row!;
}

type Named = { workId: number; work: string };

/** Works whose master carries no profile and about which nothing was said. */
export const untaggedWorks = (db: Reading, limit: number): Promise<Named[]> =>
  db.all(sql`
    SELECT w.id AS workId, w.title AS work FROM master_now n
    JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256 JOIN work w ON w.id = n.work_id
    WHERE f.icc_description IS NULL AND m.assumed_space IS NULL ORDER BY w.id LIMIT ${limit}`);

export const worksWithoutMaster = (db: Reading, limit: number): Promise<Named[]> =>
  db.all(sql`
    SELECT w.id AS workId, w.title AS work FROM work w
    WHERE NOT EXISTS (SELECT 1 FROM master_now n WHERE n.work_id = w.id) ORDER BY w.id LIMIT ${limit}`);

export const worksWithoutSizes = (db: Reading, limit: number): Promise<Named[]> =>
  db.all(sql`
    SELECT w.id AS workId, w.title AS work FROM master_now m JOIN work w ON w.id = m.work_id
    WHERE NOT EXISTS (SELECT 1 FROM size_now s WHERE s.work_id = w.id AND s.kind = 'offered')
    ORDER BY w.id LIMIT ${limit}`);

interface OfferedRow {
  workId: number;
  work: string;
  sizeKey: string;
  layout: Layout;
}

/** Every size on offer with the pixels it would be printed from, and how much of them is detail. */
export async function offeredWithPixels(
  db: Reading,
): Promise<(OfferedRow & { pixels: MasterPixels })[]> {
  const crops = await cropChoicesNow(db, null);
  const rows = await db.all<
    Omit<OfferedRow, 'layout'> & {
      layout: string;
      width: number;
      height: number;
      derivation: string | null;
      detail: number | null;
    }
  >(sql`
    SELECT w.id AS workId, w.title AS work, e.size_key AS sizeKey, e.layout AS layout,
      f.width_px AS width, f.height_px AS height,
      m.derivation AS derivation, r.detail AS detail
    FROM size_now n JOIN size_event e ON e.id = n.event_id
    JOIN master_now mn ON mn.work_id = n.work_id JOIN master m ON m.id = mn.master_id
    JOIN file f ON f.sha256 = m.sha256 JOIN work w ON w.id = n.work_id
    LEFT JOIN reading r ON r.sha256 = m.sha256 AND r.version = ${READING_VERSION}
    WHERE n.kind = 'offered' ORDER BY w.id, e.size_key`);
  return rows.map(({ width, height, derivation, detail, layout, ...row }) => {
    const file = { width, height };
    const size = derivation
      ? derivedSize(file, JSON.parse(derivation) as Derivation)
      : file;
    const pixels = { ...size, detail, crops: cropsOf(row.workId, crops) };
    return { ...row, layout: LAYOUT.read(JSON.parse(layout)), pixels };
  });
}

/** Changes whenever a size on offer, a master or a title may have changed. */
export async function offeredMark(db: Reading): Promise<(number | string | null)[]> {
  const [row] = await db.all<Record<string, number>>(sql`
    SELECT (SELECT max(id) FROM size_event) AS sizes, (SELECT max(id) FROM master) AS masters,
      (SELECT max(rowid) FROM reading) AS readings, (SELECT max(id) FROM crop_choice) AS crops,
      (SELECT max(id) FROM log_line WHERE what IN ('work.new', 'work.edited', 'work.removed')) AS lines`);
  return Object.values(row!);
}

/** When the first and the last line of the log book were written. */
export async function writtenSpan(
  db: Reading,
): Promise<{ first: string | null; last: string | null }> {
  const [row] = await db.all<{ first: string | null; last: string | null }>(
    sql`SELECT (SELECT min(at) FROM log_line) AS first, (SELECT max(at) FROM log_line) AS last`,
  );
  return row!;
}

/** How much lies in each drawer. */
export async function drawerCounts(db: Reading): Promise<{
  works: number;
  papers: number;
  proofsOut: number;
  editions: number;
  materials: number;
  ordersOpen: number;
}> {
  const [row] = await db.all<Awaited<ReturnType<typeof drawerCounts>>>(sql`
    SELECT (SELECT count(*) FROM work) AS works, (SELECT count(*) FROM paper) AS papers,
      (SELECT count(*) FROM proof_out) AS proofsOut, (SELECT count(*) FROM edition) AS editions,
      (SELECT count(*) FROM material) AS materials,
      (SELECT count(*) FROM order_now WHERE state IN ('open', 'sealed')) AS ordersOpen`);
  return row!;
}

/** Packing material at or under its reorder point, the scarcest first. */
export const materialsLow = (
  db: Reading,
  limit: number,
): Promise<{ id: number; name: string; pieces: number; reorderPoint: number }[]> =>
  db.all(sql`
    SELECT m.id AS id, m.name AS name, coalesce(n.pieces, 0) AS pieces, m.reorder_point AS reorderPoint
    FROM material m LEFT JOIN stock_now n ON n.of = 'material' AND n.ref = m.id
    WHERE m.reorder_point > 0 AND coalesce(n.pieces, 0) <= m.reorder_point
    ORDER BY coalesce(n.pieces, 0) - m.reorder_point, m.id LIMIT ${limit}`);
