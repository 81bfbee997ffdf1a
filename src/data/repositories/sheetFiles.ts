import { desc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { sheetFiles } from '../schema';
import { addLogLine } from './log';
import { addPrintEntry } from './logBook';

export type SheetFile = typeof sheetFiles.$inferSelect;

export async function addSheetFile(
  tx: Writing,
  file: Omit<SheetFile, 'id'>,
): Promise<number> {
  const [row] = await tx.insert(sheetFiles).values(file).returning({ id: sheetFiles.id });
  const { content } = file;
  await addLogLine(tx, {
    at: file.at,
    what: `sheet.${file.kind}`,
    workId: file.workId,
    detail: {
      name: file.name,
      pieces: content.kind === 'resolution' ? content.pieces.length : content.cells.length,
      sizes:
        content.kind === 'resolution'
          ? [...new Set(content.pieces.map((p) => p.sizeLabel))].join(', ')
          : content.sizeLabel,
      sha256: file.sha256,
    },
  });
  const largest =
    content.kind === 'resolution'
      ? content.pieces.reduce((a, b) => (a.factor >= b.factor ? a : b))
      : null;
  await addPrintEntry(tx, {
    kind: content.kind === 'resolution' ? 'proofSheet' : 'settingsSheet',
    ref: row!.id,
    what: file.name,
    workId: file.workId,
    masterId: file.masterId,
    sizeKey: content.kind === 'resolution' ? (largest?.sizeKey ?? null) : content.sizeKey,
    recipe:
      content.kind === 'resolution' ? content.recipe : (content.cells[0]?.recipe ?? null),
    recipeName: content.kind === 'resolution' ? (content.recipeName ?? '') : '',
    factor: largest?.factor ?? null,
    at: file.at,
  });
  return row!.id;
}

/** Proof sheets and settings sheets of a work, newest first. */
export const sheetFilesOf = (db: Reading, workId: number): Promise<SheetFile[]> =>
  db
    .select()
    .from(sheetFiles)
    .where(eq(sheetFiles.workId, workId))
    .orderBy(desc(sheetFiles.id));

export const getSheetFile = (db: Reading, id: number): Promise<SheetFile | undefined> =>
  db.query.sheetFiles.findFirst({ where: eq(sheetFiles.id, id) });
