import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Writing } from '@/data';

const IN_CHUNKS = 250;

/** Many rows, some at a time. */
export async function insert(
  tx: Writing,
  table: SQLiteTable,
  rows: object[],
): Promise<void> {
  for (let i = 0; i < rows.length; i += IN_CHUNKS)
    await tx.insert(table).values(rows.slice(i, i + IN_CHUNKS));
}
