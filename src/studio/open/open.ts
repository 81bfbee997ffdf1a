import { cutOffJobs, dataFolder, markCutOff, openDatabase, saveJob } from '@/data';
import type { OpenDatabase } from '@/data';
import { JobQueue, WORKERS, sweepLeftovers } from '@/engine';
import { neededBy } from '../jobs/jobKinds';
import { voidLeftBookings } from './voidLeftBookings';
import type { Studio } from '../running/studio';

export { now } from '../running/studio';
export type { Studio } from '../running/studio';

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
  const { arrivals, archives } = neededBy(cutOff);
  await sweepLeftovers(home, new Set(arrivals), archives);
  await voidLeftBookings(home, db);
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
