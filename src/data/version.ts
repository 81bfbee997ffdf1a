import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import type { Client } from '@libsql/client';
import { BUSY_MS } from './busy';

export const migrationsFolder = () =>
  resolve(/*turbopackIgnore: true*/ process.env.GLASSINE_MIGRATIONS ?? './drizzle');

/** Thrown where a studio was written by a later version: this one would not keep its rules. */
export class NewerStudio extends Error {
  constructor(what: string) {
    super(
      `${what} was last opened by a later version of Glassine, whose rules this one does not know. Use that version, or restore a backup of before into a new folder.`,
    );
  }
}

/** When the newest migration was made that this version knows, ms since 1970. */
const known = (): number => {
  const journal = JSON.parse(
    readFileSync(join(migrationsFolder(), 'meta/_journal.json'), 'utf8'),
  ) as { entries: { when: number }[] };
  return Math.max(...journal.entries.map((e) => e.when));
};

/** Throws NewerStudio where a database has been migrated beyond what this version knows. */
export async function refuseNewer(client: Client, what: string): Promise<void> {
  const { rows: tables } = await client.execute(
    "SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'",
  );
  if (tables.length === 0) return;
  const { rows } = await client.execute(
    'SELECT max(created_at) AS newest FROM __drizzle_migrations',
  );
  if (Number(rows[0]?.newest ?? 0) > known()) throw new NewerStudio(what);
}

/** The same for a data folder that is not open yet; one without a studio is of no version. */
export async function refuseNewerFolder(home: string): Promise<void> {
  const path = join(home, 'studio.db');
  if (!existsSync(path)) return;
  // After a kill whoever opens it first reads the log of it back; until then others wait.
  const client = createClient({ url: `file:${path}`, timeout: BUSY_MS });
  try {
    await refuseNewer(client, home);
  } finally {
    client.close();
  }
}
