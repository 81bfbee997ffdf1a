import { mkdir } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { BUSY_MS } from './busy';
import { migrationsFolder, refuseNewer } from './version';
import { carryOver } from './carry/carryOver';
import type { Database, OpenDatabase } from './reading';
import * as schema from './schema';

export type { Database, OpenDatabase, Reading, Writing } from './reading';

export const dataFolder = () =>
  resolve(/*turbopackIgnore: true*/ process.env.GLASSINE_HOME ?? './var');

/** A fault of the disk or of another process, not of what was written. */
function isFault(error: unknown): boolean {
  const codes = [error, (error as Error).cause].map((e) => (e as { code?: string })?.code);
  return codes.some((c) => c?.startsWith('SQLITE_') && !c.startsWith('SQLITE_CONSTRAINT'));
}

/** An empty database as this version makes it, in a new file. */
export async function openEmpty(
  path: string,
): Promise<{ db: Database; close: () => void }> {
  const client = createClient({ url: `file:${path}` });
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  return { db, close: () => client.close() };
}

/** Opens (and migrates) the studio's database: a file in the data folder. */
export async function openDatabase(home: string): Promise<OpenDatabase> {
  await mkdir(home, { recursive: true });
  const client = createClient({
    url: `file:${join(home, 'studio.db')}`,
    // Calls are synchronous: while another process writes, this one stands still so long.
    timeout: BUSY_MS,
  });
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA foreign_keys = ON');
  await refuseNewer(client, home).catch((error: unknown) => {
    client.close();
    throw error;
  });
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  let last: Promise<unknown> = Promise.resolve();
  const write: OpenDatabase['write'] = (work) => {
    const turn = last.then(async () => {
      try {
        return await db.transaction(work);
      } catch (error) {
        // The driver leaves a statement open when it could not begin or commit; a connection
        // like that refuses every later write.
        if (isFault(error)) client.reconnect();
        throw error;
      }
    });
    last = turn.catch(() => undefined);
    return turn;
  };
  await carryOver(db, write);
  return { read: db, write, close: () => client.close() };
}
