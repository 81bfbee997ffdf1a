import { sql } from 'drizzle-orm';
import type { Writing } from '../reading';

/** Rewrites rows of a fact table in a new form: its guard is lifted and set again, in one transaction. */
export async function unguarded(
  tx: Writing,
  table: string,
  rewrite: () => Promise<void>,
): Promise<void> {
  await tx.run(sql.raw(`DROP TRIGGER ${table}_no_update`));
  await rewrite();
  await tx.run(
    sql.raw(
      `CREATE TRIGGER ${table}_no_update BEFORE UPDATE ON ${table} BEGIN SELECT RAISE(ABORT, '${table} is append-only'); END`,
    ),
  );
}
