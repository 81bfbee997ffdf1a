import { and, desc, eq, inArray, ne, sql } from 'drizzle-orm';
import { sheetKind } from '@/core/prepare';
import type { Reading, Writing } from '../reading';
import { sheetFiles, sheetItems } from '../schema';
import { record } from '../log/log';
import { addPrintEntry } from '../log/printEntries';

export type SheetFile = typeof sheetFiles.$inferSelect;

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
  const { content, at } = file;
  const kind = sheetKind(content.kind);
  const { pieces, sizes } = kind.held(content);
  const works = [...new Set(items.map((i) => i.workId))];
  const detail = {
    name: file.name,
    pieces,
    sizes: sizes.join(', '),
    sha256: file.sha256,
  };
  const { id } = await record(
    tx,
    sheetFiles,
    file,
    works.map((workId) => ({ at, what: `sheet.${file.kind}`, workId, detail })),
  );
  for (const item of items) await tx.insert(sheetItems).values({ ...item, sheetId: id });
  const tried = kind.tried(content);
  await addPrintEntry(tx, {
    kind: kind.entry,
    ref: id,
    what: file.name,
    workIds: works,
    masterId: items[0]?.masterId ?? null,
    ...tried,
    sizeKey: tried.sizeKey || null,
    at,
  });
  return id;
}

/** Proof sheets and settings sheets with a picture of a work on them, newest first; not those that are cut apart. */
export const sheetFilesOf = (db: Reading, workId: number): Promise<SheetFile[]> =>
  db
    .select()
    .from(sheetFiles)
    .where(
      and(
        ne(sheetFiles.kind, 'gang'),
        inArray(
          sheetFiles.id,
          db
            .select({ id: sheetItems.sheetId })
            .from(sheetItems)
            .where(eq(sheetItems.workId, workId)),
        ),
      ),
    )
    .orderBy(desc(sheetFiles.id));

export const getSheetFile = (db: Reading, id: number): Promise<SheetFile | undefined> =>
  db.query.sheetFiles.findFirst({ where: eq(sheetFiles.id, id) });

/** The newest file of a sheet of a plan that lies as one text says; undefined for none. */
export const gangFileOf = async (
  db: Reading,
  planId: number,
  layout: string,
): Promise<SheetFile | undefined> =>
  db.query.sheetFiles.findFirst({
    where: and(
      eq(sheetFiles.kind, 'gang'),
      sql`json_extract(${sheetFiles.content}, '$.planId') = ${planId}`,
      sql`json_extract(${sheetFiles.content}, '$.layout') = ${layout}`,
    ),
    orderBy: desc(sheetFiles.id),
  });

/** The picture of a work on a sheet. */
export const sheetItemOf = (
  db: Reading,
  sheetId: number,
  workId: number,
): Promise<SheetItem | undefined> =>
  db.query.sheetItems.findFirst({
    where: and(eq(sheetItems.sheetId, sheetId), eq(sheetItems.workId, workId)),
  });
