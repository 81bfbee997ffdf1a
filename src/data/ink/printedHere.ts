import { sql } from 'drizzle-orm';
import type { CutSheetPlan, PlannedPiece } from '@/core/cut';
import type { Reading } from '../reading';

/** Prints of one kind that were made here on a day. */
export interface PrintedOn {
  day: string;
  /** The file that they were printed from, or the proof or settings sheet; neither: not known. */
  fileId: number | null;
  sheetId: number | null;
  sizeKey: string | null;
  paperId: number | null;
  /** The profile that a proof names; null: the one in use for its paper. */
  profile: string | null;
  count: number;
  /** m2 of each where no file says it: a test or a spoiled sheet, noted by hand. */
  area: number | null;
}

/** Rounds and impressions by their route, but those that lie on a sheet, share one, or were put back. */
const singles = (db: Reading, routes: readonly string[], since: string) =>
  db.all<PrintedOn>(sql`
    SELECT day, "sizeKey", "paperId", "fileId", "sheetId", profile, count(*) AS count, NULL AS area
      FROM (SELECT substr(e.at, 1, 10) AS day, e.size_key AS "sizeKey", e.paper_id AS "paperId",
        CASE e.kind WHEN 'proofRound' THEN r.print_file_id ELSE
          coalesce(
            (SELECT max(f.id) FROM print_file f WHERE f.work_id = e.work_id
              AND f.size_key = e.size_key AND f.kind = 'print' AND f.at <= e.at),
            (SELECT max(f.id) FROM print_file f WHERE f.work_id = e.work_id
              AND f.size_key = e.size_key AND f.kind = 'print')) END AS "fileId",
        r.sheet_id AS "sheetId", r.profile_sha256 AS profile
      FROM print_entry e LEFT JOIN proof_round r ON e.kind = 'proofRound' AND r.id = e.ref
      WHERE e.kind IN ('proofRound', 'impression') AND e.at >= ${since}
        AND lower(e.route) IN (${sql.join(
          routes.map((r) => sql`${r.toLowerCase()}`),
          sql`, `,
        )})
        AND (r.sheet_id IS NULL OR NOT EXISTS (SELECT 1 FROM proof_round o WHERE o.sheet_id = r.sheet_id
          AND o.sending = r.sending AND o.paper_id = r.paper_id AND o.id < r.id))
        AND NOT EXISTS (SELECT 1 FROM lot_use u JOIN lot_use b ON b.undoes = u.id
          WHERE u.entry_id = e.id AND u.kind = 'print')
        AND NOT EXISTS (SELECT 1 FROM printed_piece p WHERE p.entry_id = e.id)
        AND NOT EXISTS (SELECT 1 FROM piece_fate t WHERE e.kind = 'impression'
          AND t.kind = 'numbered' AND t.seq = e.ref))
      GROUP BY 1, 2, 3, 4, 5, 6`);

/** Prints on sheets that were cut. */
const onSheets = (db: Reading, since: string) =>
  db.all<PrintedOn>(sql`
    SELECT substr(s.at, 1, 10) AS day, p.print_file_id AS "fileId", p.sheet_id AS "sheetId",
        p.size_key AS "sizeKey", l.paper_id AS "paperId", NULL AS profile, count(*) AS count,
        NULL AS area
      FROM printed_piece p JOIN printed_sheet s ON s.id = p.printed_sheet_id
        JOIN lot l ON l.id = s.lot_id
      WHERE s.at >= ${since}
        AND NOT EXISTS (SELECT 1 FROM sheet_undone u WHERE u.printed_sheet_id = s.id)
      GROUP BY 1, 2, 3, 4, 5`);

/** Tests and spoiled sheets that were taken out of a lot by hand. */
const byHand = (db: Reading, since: string) =>
  db.all<PrintedOn>(sql`
    SELECT substr(u.at, 1, 10) AS day, NULL AS "fileId", NULL AS "sheetId", NULL AS "sizeKey",
        l.paper_id AS "paperId", NULL AS profile, 1 AS count,
        u.amount * l.width_mm * CASE l.kind WHEN 'roll' THEN 1 ELSE l.height_mm END / 1e6 AS area
      FROM lot_use u JOIN lot l ON l.id = u.lot_id
      WHERE u.kind IN ('test', 'spoiled') AND u.printed_sheet_id IS NULL AND u.at >= ${since}
        AND NOT EXISTS (SELECT 1 FROM lot_use b WHERE b.undoes = u.id)`);

/** Spoiled sheets of plans: each print on them took its ink. */
async function spoiled(db: Reading, since: string): Promise<PrintedOn[]> {
  const rows = await db.all<{
    day: string;
    layout: string;
    pieces: string;
    paperId: number;
  }>(
    sql`SELECT substr(s.at, 1, 10) AS day, s.layout, s.pieces, l.paper_id AS "paperId"
      FROM printed_sheet s JOIN lot l ON l.id = s.lot_id
      WHERE s.spoiled AND s.at >= ${since}
        AND NOT EXISTS (SELECT 1 FROM sheet_undone u WHERE u.printed_sheet_id = s.id)`,
  );
  return rows.flatMap(({ day, layout, pieces, paperId }) => {
    const wanted = JSON.parse(pieces) as PlannedPiece[];
    return (JSON.parse(layout) as CutSheetPlan).places.map((place): PrintedOn => {
      const piece = wanted.find((p) => p.id === place.piece);
      return {
        day,
        fileId: piece?.fileId ?? null,
        sheetId: piece?.sheetId ?? null,
        sizeKey: piece?.sizeKey ?? null,
        paperId,
        profile: null,
        count: 1,
        area: null,
      };
    });
  });
}

/**
 * What was printed by some routes since a day, day by day; `own`: by the printer of the room, to
 * which sheets that were cut, tests and spoiled sheets belong.
 */
export async function printedHere(
  db: Reading,
  { routes, own, since }: { routes: readonly string[]; own: boolean; since: string },
): Promise<PrintedOn[]> {
  const found = await Promise.all([
    singles(db, routes, since),
    ...(own ? [onSheets(db, since), byHand(db, since), spoiled(db, since)] : []),
  ]);
  return found.flat();
}
