import { desc, eq } from 'drizzle-orm';
import type { SheetContent } from '@/core/prepare';
import type { Reading, Writing } from '../database';
import { sheetFiles } from '../schema';
import { addLogLine } from '../log/log';
import { addPrintEntry } from '../log/printEntries';

export type SheetFile = typeof sheetFiles.$inferSelect;

/** How much is on a sheet, and of which sizes. */
const heldBy = (content: SheetContent) =>
  content.kind === 'resolution'
    ? {
        pieces: content.pieces.length,
        sizes: [...new Set(content.pieces.map((p) => p.sizeLabel))].join(', '),
      }
    : { pieces: content.cells.length, sizes: content.sizeLabel };

/** What the log book remembers of it: of several sizes the most enlarged one. */
function triedOn(content: SheetContent) {
  if (content.kind === 'settings') {
    const { sizeKey, recipe, factor } = content;
    return { sizeKey, recipe: recipe ?? null, recipeName: '', factor: factor ?? null };
  }
  const { pieces, recipe, recipeName } = content;
  const most = pieces.reduce((a, b) => (a.factor >= b.factor ? a : b));
  const { sizeKey, factor } = most;
  return { sizeKey, recipe, recipeName: recipeName ?? '', factor };
}

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
    detail: { name: file.name, ...heldBy(content), sha256: file.sha256 },
  });
  await addPrintEntry(tx, {
    kind: content.kind === 'resolution' ? 'proofSheet' : 'settingsSheet',
    ref: row!.id,
    what: file.name,
    workId: file.workId,
    masterId: file.masterId,
    ...triedOn(content),
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
