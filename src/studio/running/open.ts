import { cutOffJobs, dataFolder, markCutOff, openDatabase, saveJob } from '@/data';
import type { JobKind, OpenDatabase } from '@/data';
import { JobQueue, WORKERS, sweepLeftovers } from '@/engine';

/** The open studio: its data folder, its database, its running work. */
export interface Studio {
  home: string;
  db: OpenDatabase;
  jobs: JobQueue;
}

/** What a cut-off intake needs when it is run again: the received file. */
const arrivalOf = ({ kind, spec }: { kind: JobKind; spec: unknown }): string[] =>
  kind === 'intake' ? [(spec as { sha256: string }).sha256] : [];

/** The archive that a cut-off backup was to write. */
const archiveOf = ({ kind, spec }: { kind: JobKind; spec: unknown }): string[] =>
  kind === 'backup' ? [(spec as { target: string }).target] : [];

function running(home: string, db: OpenDatabase): Studio {
  const jobs = new JobQueue({
    atOnce: WORKERS,
    clock: () => performance.now(),
    save: (job) => db.write((tx) => saveJob(tx, job)),
  });
  return { home, db, jobs };
}

/** Opens a data folder: migrates, marks what a stopped server left, sweeps half-made files. */
export async function openStudio(home: string): Promise<Studio> {
  const db = await openDatabase(home);
  await db.write(markCutOff);
  const cutOff = await cutOffJobs(db.read);
  await sweepLeftovers(home, new Set(cutOff.flatMap(arrivalOf)), cutOff.flatMap(archiveOf));
  return running(home, db);
}

/** Opens a data folder beside a server that may be at work in it: nothing is marked or swept. */
export const attachStudio = async (home: string): Promise<Studio> =>
  running(home, await openDatabase(home));

const held = globalThis as { glassineStudio?: Promise<Studio> };

/** The one studio of this process, opened when first asked for; a failed opening is tried again. */
export const studio = (): Promise<Studio> =>
  (held.glassineStudio ??= openStudio(dataFolder()).catch((error: unknown) => {
    held.glassineStudio = undefined;
    throw error;
  }));

/** This instant, ISO 8601: the clock is read here and handed down. */
export const now = (): string => new Date().toISOString();
