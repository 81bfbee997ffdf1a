import { desc, eq, sql } from 'drizzle-orm';
import type { Reading } from '../reading';
import { lots, pieceFates, printedPieces, printedSheets, sheetsUndone } from '../schema';
import type { PrintedPiece, PrintedSheet } from './bookSheet';
import { THERE } from './toPrint';

/** A printed sheet with its prints, and what became of each. */
export interface SheetPrinted extends PrintedSheet {
  lot: string;
  undone: boolean;
  prints: (PrintedPiece & { fate: 'numbered' | 'spoiled' | null })[];
}

/** Sheets of a plan that were printed, newest first. */
export async function printedSheetsOf(
  db: Reading,
  planId: number,
  limit = 60,
): Promise<SheetPrinted[]> {
  const rows = await db
    .select({ sheet: printedSheets, lot: lots.name, undone: sheetsUndone.at })
    .from(printedSheets)
    .innerJoin(lots, eq(lots.id, printedSheets.lotId))
    .leftJoin(sheetsUndone, eq(sheetsUndone.printedSheetId, printedSheets.id))
    .where(eq(printedSheets.planId, planId))
    .orderBy(desc(printedSheets.id))
    .limit(limit);
  const prints = await db
    .select({ piece: printedPieces, fate: pieceFates.kind })
    .from(printedPieces)
    .innerJoin(printedSheets, eq(printedSheets.id, printedPieces.printedSheetId))
    .leftJoin(pieceFates, eq(pieceFates.pieceId, printedPieces.id))
    .where(eq(printedSheets.planId, planId))
    .orderBy(printedPieces.id);
  return rows.map(({ sheet, lot, undone }) => ({
    ...sheet,
    lot,
    undone: undone !== null,
    prints: prints
      .filter((p) => p.piece.printedSheetId === sheet.id)
      .map(({ piece, fate }) => ({ ...piece, fate })),
  }));
}

/** Prints that were made for lines of orders, by line. */
export async function printedOfLines(
  db: Reading,
  lineIds: readonly number[],
): Promise<Map<number, number>> {
  if (lineIds.length === 0) return new Map();
  const rows = await db.all<{ lineId: number; n: number }>(sql`
    SELECT p.line_id AS "lineId", count(*) AS n FROM printed_piece p
      WHERE p.line_id IN (${sql.join(
        lineIds.map((id) => sql`${id}`),
        sql`, `,
      )})
        AND ${THERE}
      GROUP BY 1`);
  return new Map(rows.map((r) => [r.lineId, r.n]));
}
