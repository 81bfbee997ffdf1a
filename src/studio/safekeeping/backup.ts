import { stampIn } from '@/core/days';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import {
  FolderHeld,
  NewerStudio,
  checkLedger,
  dependants,
  holdFolder,
  jobsUnderWay,
  lastDone,
  letGo,
  openDatabase,
  readSettings,
  referredFiles,
  settleRestored,
} from '@/data';
import type { Reading } from '@/data';
import { BadArchive, Cancelled, SHA256, runInWorker, unfinished } from '@/engine';
import type { Manifest, Progress } from '@/engine';
import type { BackupResult } from '../jobs/kinds/backup';
import { noteJob, queueJob } from '../jobs/startJob';
import { oneAtATime } from '../running/oneAtATime';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { ledgerFaults } from '../words/ledgerWords';
import { storedName } from './archiveNames';

const silent = () => undefined;

/** Where backups go unless a folder is set: beside the data, so better set one elsewhere. */
export async function backupFolder(open: Studio): Promise<string> {
  const { backupFolder: chosen } = await readSettings(open.db.read);
  return chosen === '' ? join(open.home, 'backups') : resolve(chosen);
}

/** Name of a backup made at an instant, by the studio's own day and clock. */
export const backupName = (at: string, zone: string): string =>
  `glassine-${stampIn(at, zone)}.zip`;

/**
 * Starts a backup of everything into a folder; one at a time, so while one is under way that
 * one is answered. Its number as a job.
 */
export async function startBackup(
  open: Studio,
  folder: string,
  at: string,
): Promise<number> {
  const { timeZone } = await readSettings(open.db.read);
  const name = backupName(at, timeZone);
  const there = new Set(await readdir(folder));
  const stem = name.slice(0, -'.zip'.length);
  let free = name;
  for (let n = 2; there.has(free); n += 1) free = `${stem}-${n}.zip`;
  const target = join(folder, free);
  const { row, joined } = await open.db.write(async (tx) => {
    const [before] = await jobsUnderWay(tx, 'backup');
    if (before) return { row: before, joined: true };
    const spec = { target, part: unfinished(target), made: at };
    const row = await noteJob(tx, { kind: 'backup', workId: null, spec, at });
    return { row, joined: false };
  });
  if (!joined) void queueJob(open, row);
  return row.id;
}

/** When the last backup was made and what it holds; null when there is none. */
export async function lastBackup(
  db: Reading,
): Promise<{ at: string; result: BackupResult } | null> {
  const row = await lastDone(db, 'backup');
  return row?.result ? { at: row.at, result: row.result as BackupResult } : null;
}

/**
 * Restores a backup into an empty or new folder: every file is unpacked and held against its
 * hash, the database opened, its ledger walked, before the folder appears under its name.
 * Throws BadArchive; then nothing is left.
 */
export const restoreBackup = (
  archive: string,
  home: string,
  progress: Progress = silent,
  signal = new AbortController().signal,
): Promise<Manifest> =>
  oneAtATime(`restore into ${resolve(home)}`, () =>
    restore(archive, home, progress, signal),
  );

async function restore(
  archive: string,
  home: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<Manifest> {
  const there = await readdir(home).catch(() => null);
  if (there !== null && there.length > 0)
    throw new BadArchive(
      `${home} is not empty, and nothing is ever restored over something. Name a new folder.`,
    );
  const folder = `${resolve(home)}.restoring`;
  const lock = `${folder}.lock`;
  await holdFolder(lock, 'restore', now()).catch((error: unknown) => {
    if (!(error instanceof FolderHeld)) throw error;
    throw new BadArchive(
      `another restore into ${home} is at work; wait until it has ended`,
    );
  });
  await rm(folder, { recursive: true, force: true });
  await mkdir(folder, { recursive: true });
  try {
    const manifest = await runInWorker(
      'unpack',
      { archive: resolve(archive), folder },
      progress,
      signal,
    ).catch((error: Error) => {
      throw error instanceof Cancelled ? error : new BadArchive(error.message);
    });
    const db = await openDatabase(folder).catch((error: Error) => {
      throw error instanceof NewerStudio ? new BadArchive(error.message) : error;
    });
    try {
      const named = await referredFiles(db.read);
      const odd = named.find((h) => !SHA256.test(h));
      if (odd !== undefined)
        throw new BadArchive(`it names a file by “${odd.slice(0, 80)}”, which is no hash`);
      const names = new Set([...manifest.files.map((f) => f.name), ...manifest.leftOut]);
      const absent = named.filter((h) => !names.has(storedName(h)));
      const [first] = await dependants(db.read, absent);
      if (absent.length > 0) throw new BadArchive(`it lacks ${first?.what ?? absent[0]}`);
      const ledger = await checkLedger(db.read);
      if (!ledger.sound)
        throw new BadArchive(
          `its edition ledger does not hold. ${ledgerFaults(ledger).join(' ')}`,
        );
      await db.write(settleRestored);
    } finally {
      db.close();
    }
    if (there !== null) await rm(home, { recursive: true });
    await mkdir(dirname(resolve(home)), { recursive: true });
    await rename(folder, home);
    return manifest;
  } catch (error) {
    await rm(folder, { recursive: true, force: true });
    throw error;
  } finally {
    letGo(lock, 'restore');
    await rm(lock, { recursive: true, force: true });
  }
}
