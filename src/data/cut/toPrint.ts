import { desc, sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { sheetFiles } from '../schema';

/** An unnumbered print that an open order waits for. */
export interface LineToPrint {
  lineId: number;
  order: string;
  dueOn: string;
  workId: number;
  work: string;
  sizeKey: string;
  /** Those that are not printed yet. */
  count: number;
}

/** Pieces that are there: not spoiled, and their sheet was printed indeed. */
export const THERE = sql`NOT EXISTS (SELECT 1 FROM sheet_undone u WHERE u.printed_sheet_id = p.printed_sheet_id)
  AND NOT EXISTS (SELECT 1 FROM piece_fate f WHERE f.piece_id = p.id AND f.kind = 'spoiled')`;

/** Unnumbered prints on a paper that open orders wait for, what is due first at the front. */
export const linesToPrint = (
  db: Reading,
  paperId: number,
  limit: number,
): Promise<LineToPrint[]> =>
  db.all<LineToPrint>(sql`
    SELECT * FROM (
      SELECT l.id AS "lineId", o.number AS "order", o.due_on AS "dueOn", l.work_id AS "workId",
          w.title AS work, l.size_key AS "sizeKey",
          l.quantity - (SELECT count(*) FROM printed_piece p WHERE p.line_id = l.id AND ${THERE}) AS count
        FROM order_line l JOIN line_now n ON n.line_id = l.id JOIN orders o ON o.id = l.order_id
          JOIN order_now s ON s.order_id = o.id JOIN work w ON w.id = l.work_id
        WHERE l.paper_id = ${paperId} AND l.kind = 'openPrint' AND n.state = 'open' AND s.state = 'open')
      WHERE count > 0 ORDER BY "dueOn", "lineId" LIMIT ${limit}`);

/** Prints of one size that a paper is promised to. */
export interface PrintsToCome {
  paperId: number;
  sizeKey: string;
  count: number;
}

/** What some papers are promised to: unnumbered prints of open orders, and what else is on their plans of sheets. */
export const printsToCome = async (
  db: Reading,
  paperIds: readonly number[],
): Promise<PrintsToCome[]> => {
  if (paperIds.length === 0) return [];
  const ids = sql.join(
    paperIds.map((id) => sql`${id}`),
    sql`, `,
  );
  return db.all<PrintsToCome>(sql`
    SELECT l.paper_id AS "paperId", l.size_key AS "sizeKey", sum(l.quantity -
        (SELECT count(*) FROM printed_piece p WHERE p.line_id = l.id AND ${THERE})) AS count
      FROM order_line l JOIN line_now n ON n.line_id = l.id JOIN order_now s ON s.order_id = l.order_id
      WHERE l.paper_id IN (${ids}) AND l.kind = 'openPrint' AND n.state = 'open' AND s.state = 'open'
      GROUP BY 1, 2
    UNION ALL SELECT a.paper_id, json_extract(x.value, '$.sizeKey'), sum(json_extract(x.value, '$.count'))
      FROM sheet_plan a JOIN sheet_plan_state t ON t.plan_id = a.id, json_each(t.state, '$.pieces') x
      WHERE a.paper_id IN (${ids}) AND t.id = (SELECT max(u.id) FROM sheet_plan_state u WHERE u.plan_id = a.id)
        AND json_extract(x.value, '$.purpose') <> 'order' AND json_extract(x.value, '$.sizeKey') IS NOT NULL
      GROUP BY 1, 2`);
};

/** A print that is here and waits for its number. */
export interface WaitingPiece {
  id: number;
  workId: number;
  sizeKey: string;
  printFileId: number | null;
  paperId: number;
  paper: string;
  lot: string;
  at: string;
}

const waiting = (db: Reading, where: ReturnType<typeof sql>, limit: number) =>
  db.all<WaitingPiece>(sql`
    SELECT p.id, p.work_id AS "workId", p.size_key AS "sizeKey", p.print_file_id AS "printFileId",
        a.id AS "paperId", a.name AS paper, l.name AS lot, p.at
      FROM printed_piece p JOIN printed_sheet s ON s.id = p.printed_sheet_id
        JOIN lot l ON l.id = s.lot_id JOIN paper a ON a.id = l.paper_id
      WHERE p.purpose = 'edition' AND ${where}
        AND NOT EXISTS (SELECT 1 FROM piece_fate f WHERE f.piece_id = p.id)
        AND NOT EXISTS (SELECT 1 FROM sheet_undone u WHERE u.printed_sheet_id = p.printed_sheet_id)
      ORDER BY p.id LIMIT ${limit}`);

/** Prints of a size that wait for their numbers, the oldest first. */
export const waitingPieces = (
  db: Reading,
  { workId, sizeKey }: { workId: number; sizeKey: string },
  limit = 60,
): Promise<WaitingPiece[]> =>
  waiting(db, sql`p.work_id = ${workId} AND p.size_key = ${sizeKey}`, limit);

export async function waitingPiece(
  db: Reading,
  id: number,
): Promise<WaitingPiece | undefined> {
  const [found] = await waiting(db, sql`p.id = ${id}`, 1);
  return found;
}

/** The newest proof and settings sheets; sheets that were cut together are none of them. */
export const newestSheets = (db: Reading, limit: number) =>
  db
    .select()
    .from(sheetFiles)
    .where(sql`${sheetFiles.kind} <> 'gang'`)
    .orderBy(desc(sheetFiles.id))
    .limit(limit);
