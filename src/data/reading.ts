import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema>;
/** What a write sees: the database inside its transaction. */
export type Writing = Parameters<Parameters<Database['transaction']>[0]>[0];
/** Anything that can be read from. */
export type Reading = Database | Writing;

export interface OpenDatabase {
  read: Database;
  /**
   * Runs one write transaction. Writes of this process queue up, since a second one would
   * block the thread while it waits for the first.
   */
  write<T>(work: (tx: Writing) => Promise<T>): Promise<T>;
  close(): void;
}
