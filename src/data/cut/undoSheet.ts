import { and, eq, isNull } from 'drizzle-orm';
import type { Writing } from '../reading';
import { Refused } from '../refused';
import { record } from '../log/log';
import { getLot, putBack, takeFromLot } from '../paper/lots';
import {
  lotUses,
  lots,
  pieceFates,
  printedPieces,
  printedSheets,
  sheetsUndone,
} from '../schema';
import type { PrintedSheet } from './bookSheet';

/**
 * Takes a printed sheet back: its paper is in its lot again, its left-overs are gone. Throws
 * Refused `gone`, `numberedAlready`, `leftOverUsed`.
 */
export async function undoSheet(
  tx: Writing,
  { sheetId, reason, at }: { sheetId: number; reason: string; at: string },
): Promise<PrintedSheet> {
  const sheet = await tx.query.printedSheets.findFirst({
    where: eq(printedSheets.id, sheetId),
  });
  const before = await tx.query.sheetsUndone.findFirst({
    where: eq(sheetsUndone.printedSheetId, sheetId),
  });
  if (!sheet || before) throw new Refused('gone');
  const [numbered] = await tx
    .select({ id: pieceFates.id })
    .from(pieceFates)
    .innerJoin(printedPieces, eq(printedPieces.id, pieceFates.pieceId))
    .where(and(eq(printedPieces.printedSheetId, sheetId), eq(pieceFates.kind, 'numbered')))
    .limit(1);
  if (numbered) throw new Refused('numberedAlready');
  const leftOvers = await tx
    .select({ id: lots.id })
    .from(lots)
    .where(eq(lots.printedSheetId, sheetId));
  for (const { id } of leftOvers) {
    const lot = (await getLot(tx, id))!;
    if (lot.left < lot.pieces - 1e-6) throw new Refused('leftOverUsed');
    await takeFromLot(tx, { lotId: id, amount: lot.left, kind: 'leftOver', reason, at });
  }
  const uses = await tx
    .select({ id: lotUses.id })
    .from(lotUses)
    .where(and(eq(lotUses.printedSheetId, sheetId), isNull(lotUses.undoes)));
  for (const { id } of uses) await putBack(tx, { useId: id, reason, at });
  await record(
    tx,
    sheetsUndone,
    { printedSheetId: sheetId, reason, at },
    { at, what: 'sheetPlan.undone', detail: { plan: sheet.planId, reason } },
  );
  return sheet;
}
