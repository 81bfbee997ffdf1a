import { sql } from 'drizzle-orm';
import type { Writing } from '../reading';

/** Numbers the rows of an empty studio from here on, in every table that numbers them. */
export async function numberFrom(tx: Writing, first: number): Promise<void> {
  const tables = await tx.all<{ name: string }>(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND sql LIKE '%AUTOINCREMENT%'`,
  );
  for (const { name } of tables) {
    await tx.run(sql`DELETE FROM sqlite_sequence WHERE name = ${name}`);
    await tx.run(sql`INSERT INTO sqlite_sequence (name, seq) VALUES (${name}, ${first})`);
  }
}
