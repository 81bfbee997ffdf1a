import type { InferInsertModel, InferSelectModel } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Writing } from '../reading';
import { addLogLine } from './log';
import type { NewLogLine } from './log';

/**
 * Writes a fact and the line of the log book that tells it, in one transaction; answers the
 * row. `line` may be made from the row, or be null where another line tells it.
 */
export async function record<T extends SQLiteTable>(
  tx: Writing,
  table: T,
  values: InferInsertModel<T>,
  line: NewLogLine | ((row: InferSelectModel<T>) => NewLogLine) | null,
): Promise<InferSelectModel<T>> {
  const rows = (await tx
    .insert(table)
    .values(values as never)
    .returning()) as InferSelectModel<T>[];
  const row = rows[0]!;
  if (line) await addLogLine(tx, typeof line === 'function' ? line(row) : line);
  return row;
}
