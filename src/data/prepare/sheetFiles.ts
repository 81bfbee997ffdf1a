import { desc, eq, inArray } from 'drizzle-orm';
import type { SheetContent } from '@/core/prepare';
import type { Reading, Writing } from '../reading';
import { sheetFiles, sheetItems } from '../schema';
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

/** A picture that is on a sheet: its work, and the master it was taken from. */
export interface SheetItem {
  workId: number;
  masterId: number;
}

/** Writes a sheet down, with every work whose picture is on it. */
export async function addSheetFile(
  tx: Writing,
  file: Omit<SheetFile, 'id'>,
  items: readonly SheetItem[],
): Promise<number> {
  const [row] = await tx.insert(sheetFiles).values(file).returning({ id: sheetFiles.id });
  const { content, at } = file;
  const works = [...new Set(items.map((i) => i.workId))];
  for (const item of items)
    await tx.insert(sheetItems).values({ ...item, sheetId: row!.id });
  for (const workId of works)
    await addLogLine(tx, {
      at,
      what: `sheet.${file.kind}`,
      workId,
      detail: { name: file.name, ...heldBy(content), sha256: file.sha256 },
    });
  await addPrintEntry(tx, {
    kind: content.kind === 'resolution' ? 'proofSheet' : 'settingsSheet',
    ref: row!.id,
    what: file.name,
    workIds: works,
    masterId: items[0]?.masterId ?? null,
    ...triedOn(content),
    at,
  });
  return row!.id;
}

/** Proof sheets and settings sheets with a picture of a work on them, newest first. */
export const sheetFilesOf = (db: Reading, workId: number): Promise<SheetFile[]> =>
  db
    .select()
    .from(sheetFiles)
    .where(
      inArray(
        sheetFiles.id,
        db
          .select({ id: sheetItems.sheetId })
          .from(sheetItems)
          .where(eq(sheetItems.workId, workId)),
      ),
    )
    .orderBy(desc(sheetFiles.id));

export const getSheetFile = (db: Reading, id: number): Promise<SheetFile | undefined> =>
  db.query.sheetFiles.findFirst({ where: eq(sheetFiles.id, id) });
