import { dataFolder, markCutOff, openDatabase, saveJob } from '@/data';
import type { OpenDatabase } from '@/data';
import { JobQueue, sweepTemporary } from '@/engine';

/** The open studio: its data folder, its database, its running work. */
export interface Studio {
  home: string;
  db: OpenDatabase;
  jobs: JobQueue;
}

/** Opens a data folder: migrates, marks what a stopped server left, sweeps half-written files. */
export async function openStudio(home: string): Promise<Studio> {
  const db = await openDatabase(home);
  await sweepTemporary(home);
  await db.write(markCutOff);
  return { home, db, jobs: new JobQueue((job) => db.write((tx) => saveJob(tx, job))) };
}

const held = globalThis as { glassineStudio?: Promise<Studio> };

/** The one studio of this process, opened when first asked for. */
export const studio = (): Promise<Studio> =>
  (held.glassineStudio ??= openStudio(dataFolder()));

/** This instant, ISO 8601: the clock is read here and handed down. */
export const now = (): string => new Date().toISOString();
