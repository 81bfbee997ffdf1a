import type { OpenDatabase } from '@/data';
import type { JobQueue } from '@/engine';

/** The open studio: its data folder, its database, its running work. */
export interface Studio {
  home: string;
  db: OpenDatabase;
  jobs: JobQueue;
}

/** This instant, ISO 8601: the clock is read here and handed down. */
export const now = (): string => new Date().toISOString();
