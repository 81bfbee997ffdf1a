import { existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import {
  cutOffJobs,
  dataFolder,
  holdFolder,
  markCutOff,
  openDatabase,
  saveJob,
  whoHolds,
} from '@/data';
import type { OpenDatabase, Role } from '@/data';
import { JobQueue, WORKERS, sweepLeftovers } from '@/engine';
import { neededBy } from '../jobs/jobKinds';
import { lookForUnnamed } from '../keeping/unnamed';
import { voidLeftBookings } from './voidLeftBookings';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';

export { now } from '../running/studio';
export type { Studio } from '../running/studio';

function running(home: string, role: Role, db: OpenDatabase): Studio {
  const jobs = new JobQueue({
    atOnce: WORKERS,
    clock: () => performance.now(),
    save: (job) => db.write((tx) => saveJob(tx, job)),
  });
  return { home, role, db, jobs, unnamed: [] };
}

/**
 * Opens a data folder as its one server: holds it, migrates, marks what a stopped server left,
 * sweeps half-made files. A command that is at work in it keeps what it has. Throws FolderHeld.
 */
export async function openStudio(home: string): Promise<Studio> {
  await holdFolder(home, 'server', now());
  const command = await whoHolds(home, 'command');
  const db = await openDatabase(home);
  await db.write((tx) => markCutOff(tx, command ? ['server'] : ['server', 'command']));
  const { arrivals, parts } = neededBy(await cutOffJobs(db.read));
  await sweepLeftovers(home, { arrivals, writers: command ? [command.pid] : [] }, parts);
  await voidLeftBookings(home, db);
  const open = running(home, 'server', db);
  await lookForUnnamed(open);
  return open;
}

/**
 * Opens a data folder beside a server that may be at work in it: nothing is marked or swept.
 * One command at a time, where it `writes`. Throws FolderHeld.
 */
export async function attachStudio(home: string, writes: boolean): Promise<Studio> {
  if (writes) await holdFolder(home, 'command', now());
  return running(home, 'command', await openDatabase(home));
}

const held = globalThis as {
  /** The one that rooms are given. */
  glassineStudio?: Promise<Studio>;
  /** The studio of the data folder, while its sample is open. */
  glassineOwn?: Studio;
  glassineSwitched?: EventTarget;
};

/** Tells whoever follows the open studio that another one is. */
export const switched = (): EventTarget => (held.glassineSwitched ??= new EventTarget());

/** The studio of the data folder, whether its sample is open or not. */
export const ownStudio = async (): Promise<Studio> => held.glassineOwn ?? (await studio());

/** Opens the sample instead, or, with null, the studio of the data folder again. */
export async function switchTo(sample: Studio | null): Promise<void> {
  const own = await ownStudio();
  held.glassineOwn = sample ? own : undefined;
  beTheStudio(sample ?? own);
  switched().dispatchEvent(new Event('switched'));
}

/** The sample of a data folder lies within it. */
export const sampleFolder = (home: string): string => join(home, 'sample');

/** Opens the data folder, and its sample where that was open when the server ended. */
async function openAll(): Promise<Studio> {
  const own = await openStudio(dataFolder());
  const home = sampleFolder(own.home);
  if (!existsSync(/*turbopackIgnore: true*/ join(home, 'ready'))) {
    await rm(home, { recursive: true, force: true });
    return own;
  }
  try {
    const sample = await openStudio(home);
    held.glassineOwn = own;
    return sample;
  } catch {
    // Whatever became of a sample: the own studio opens.
    await rm(home, { recursive: true, force: true });
    return own;
  }
}

/** Makes a studio that was attached the one of this process, for rooms that ask for it. */
export const beTheStudio = (open: Studio): void => {
  held.glassineStudio = Promise.resolve(open);
};

/** The one studio of this process, opened when first asked for; a failed opening is tried again. */
export const studio = (): Promise<Studio> =>
  (held.glassineStudio ??= openAll().catch((error: unknown) => {
    held.glassineStudio = undefined;
    throw error;
  }));
