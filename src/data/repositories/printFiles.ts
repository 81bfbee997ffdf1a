import { desc, eq } from 'drizzle-orm';
import type { Reading, Writing } from '../database';
import { printFiles } from '../schema';
import { addLogLine } from './log';

export type PrintFile = typeof printFiles.$inferSelect;

export async function addPrintFile(
  tx: Writing,
  file: Omit<PrintFile, 'id'>,
): Promise<number> {
  const [row] = await tx.insert(printFiles).values(file).returning({ id: printFiles.id });
  const { recipe } = file;
  await addLogLine(tx, {
    at: file.at,
    what: 'printFile.written',
    workId: file.workId,
    sizeKey: file.sizeKey,
    detail: {
      name: file.name,
      factor: Number(recipe.resample.factor.toFixed(3)),
      kernel: recipe.resample.kernel,
      sharpen: `${recipe.outputSharpen.amount} %, ${recipe.outputSharpen.radius} px, threshold ${recipe.outputSharpen.threshold}`,
      space: recipe.convert.space,
      intent: recipe.convert.intent,
      ppi: recipe.ppi,
      failedChecks: file.checks.filter((c) => !c.passed).length,
      sha256: file.sha256,
    },
  });
  return row!.id;
}

/** Print files of a work, newest first. */
export const printFilesOf = (db: Reading, workId: number): Promise<PrintFile[]> =>
  db
    .select()
    .from(printFiles)
    .where(eq(printFiles.workId, workId))
    .orderBy(desc(printFiles.id));

export const getPrintFile = (db: Reading, id: number): Promise<PrintFile | undefined> =>
  db.query.printFiles.findFirst({ where: eq(printFiles.id, id) });
