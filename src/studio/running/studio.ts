import type { OpenDatabase, Role } from '@/data';
import type { FoundFile, JobQueue } from '@/engine';

/** The open studio: its data folder, its database, its running work. */
export interface Studio {
  home: string;
  /** Whether this is the server of the folder, or a command beside it. */
  role: Role;
  db: OpenDatabase;
  jobs: JobQueue;
  /** Stored files that no row named when it was opened, though they were a day old. */
  unnamed: FoundFile[];
}

/** This instant, ISO 8601: the clock is read here and handed down. */
export const now = (): string => new Date().toISOString();
