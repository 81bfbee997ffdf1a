import { and, desc, eq, sql } from 'drizzle-orm';
import { ppiOf, resampling, stepIn } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import type { Reading, Writing } from '../reading';
import { wordsFound } from '../page';
import { printFiles, works } from '../schema';
import { record } from '../log/log';
import { addPrintEntry } from '../log/printEntries';
import { getRecipe } from './recipes';

export type PrintFile = typeof printFiles.$inferSelect;

const sharpening = (recipe: Recipe): string => {
  const step = stepIn(recipe, 'output');
  return step ? `${step.amount} %, ${step.radius} px, threshold ${step.threshold}` : 'none';
};

export async function addPrintFile(
  tx: Writing,
  file: Omit<PrintFile, 'id'>,
): Promise<number> {
  const { recipe } = file;
  const row = await record(tx, printFiles, file, {
    at: file.at,
    what: file.kind === 'print' ? 'printFile.written' : 'screenCopy.written',
    workId: file.workId,
    sizeKey: file.sizeKey,
    detail: {
      name: file.name,
      factor: Number(file.factor.toFixed(3)),
      kernel: resampling(recipe).kernel,
      sharpen: sharpening(recipe),
      space: recipe.convert.target,
      intent: recipe.convert.intent,
      ppi: ppiOf(recipe),
      failedChecks: file.checks.filter((c) => !c.passed).length,
      sha256: file.sha256,
    },
  });
  if (file.kind === 'print') {
    const named = file.recipeId ? await getRecipe(tx, file.recipeId) : undefined;
    await addPrintEntry(tx, {
      kind: 'printFile',
      ref: row.id,
      what: file.name,
      workIds: [file.workId],
      masterId: file.masterId,
      sizeKey: file.sizeKey,
      recipe,
      recipeName: named ? `${named.name}, version ${named.version}` : '',
      factor: file.factor,
      at: file.at,
    });
  }
  return row.id;
}

/** Print files and screen copies of a work, newest first. */
export const filesOf = (db: Reading, workId: number): Promise<PrintFile[]> =>
  db
    .select()
    .from(printFiles)
    .where(eq(printFiles.workId, workId))
    .orderBy(desc(printFiles.id));

/** Print files of a work, newest first. */
export const printFilesOf = (db: Reading, workId: number): Promise<PrintFile[]> =>
  db
    .select()
    .from(printFiles)
    .where(and(eq(printFiles.workId, workId), eq(printFiles.kind, 'print')))
    .orderBy(desc(printFiles.id));

/** What the newest print files of some works were made by: of each size one, and one in ink beside it. */
export const newestRecipes = (
  db: Reading,
  workIds: readonly number[],
): Promise<Pick<PrintFile, 'workId' | 'sizeKey' | 'channels' | 'recipe' | 'at'>[]> =>
  db
    .select({
      workId: printFiles.workId,
      sizeKey: printFiles.sizeKey,
      channels: printFiles.channels,
      recipe: printFiles.recipe,
      at: printFiles.at,
    })
    .from(printFiles)
    .where(
      sql`${printFiles.id} IN (SELECT max(g.id) FROM print_file g
        WHERE g.work_id IN ${[...workIds]} AND g.kind = 'print' GROUP BY g.work_id, g.size_key, g.channels)`,
    );

export const getPrintFile = (db: Reading, id: number): Promise<PrintFile | undefined> =>
  db.query.printFiles.findFirst({ where: eq(printFiles.id, id) });

/** The newest print file of each size of the other works, to go along in one errand; as found. */
export async function newestFilesElsewhere(
  db: Reading,
  { notWorkId, find }: { notWorkId: number; find: string },
  limit: number,
): Promise<{ work: string; file: PrintFile }[]> {
  const found = wordsFound(sql`${printFiles.workId}`, 'work', find);
  return db
    .select({ work: works.title, file: printFiles })
    .from(printFiles)
    .innerJoin(works, eq(works.id, printFiles.workId))
    .where(
      sql`${printFiles.kind} = 'print' AND ${printFiles.workId} <> ${notWorkId} AND ${found}
        AND NOT EXISTS (SELECT 1 FROM print_file g WHERE g.work_id = ${printFiles.workId}
          AND g.size_key = ${printFiles.sizeKey} AND g.kind = 'print'
          AND g.channels = ${printFiles.channels} AND g.id > ${printFiles.id})`,
    )
    .orderBy(desc(printFiles.id))
    .limit(limit);
}

/** The newest print file of each size of every work, the last that was written first; the last few of them. */
export const newestPrintFiles = (db: Reading, most = Infinity): Promise<PrintFile[]> =>
  db
    .select()
    .from(printFiles)
    .where(
      sql`${printFiles.id} IN (SELECT max(id) FROM print_file WHERE kind = 'print'
        GROUP BY work_id, size_key)`,
    )
    .orderBy(desc(printFiles.id))
    .limit(Number.isFinite(most) ? most : -1);
