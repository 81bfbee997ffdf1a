import { sql } from 'drizzle-orm';
import type { Database, Writing } from '../reading';
import { carried } from '../schema';
import { attestEditions } from './attestEditions';
import { currencyOfHire } from './currencyOfHire';
import { mergeSameCustomers } from './mergeSameCustomers';
import { namesOfSettings } from './namesOfSettings';
import { salesOfSealedLines } from './salesOfSealedLines';
import type { CarryStep } from './step';
import { typedTextToValues } from './typedTextToValues';

const STEPS: readonly CarryStep[] = [
  typedTextToValues,
  namesOfSettings,
  mergeSameCustomers,
  salesOfSealedLines,
  currencyOfHire,
  attestEditions,
];

/**
 * Does what is left of the move from an earlier version, after the SQL migrations: each step
 * in one transaction with the note that it is done, so that a crash between two is no harm.
 */
export async function carryOver(
  db: Database,
  write: <T>(work: (tx: Writing) => Promise<T>) => Promise<T>,
): Promise<void> {
  // Opened with the migrations of an earlier version there is nothing to carry yet.
  const [there] = await db.all(
    sql`SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'carried'`,
  );
  if (!there) return;
  const done = new Set((await db.select().from(carried)).map((row) => row.step));
  for (const { name, run } of STEPS) {
    if (done.has(name)) continue;
    await write(async (tx) => {
      // Another process may have done it meanwhile.
      const [before] = await tx.all(sql`SELECT 1 FROM carried WHERE step = ${name}`);
      if (before) return;
      await run(tx);
      await tx
        .insert(carried)
        .values({ step: name, at: sql`strftime('%Y-%m-%dT%H:%M:%fZ', 'now')` });
    });
  }
}
