import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { dirname, resolve } from 'node:path';
import {
  FolderHeld,
  NewerStudio,
  checkLedger,
  dependants,
  holdFolder,
  letGo,
  openDatabase,
  referredFiles,
  settleRestored,
} from '@/data';
import { BadArchive, Cancelled, SHA256, runInWorker } from '@/engine';
import type { Manifest, Progress } from '@/engine';
import { oneAtATime } from '../running/oneAtATime';
import { now } from '../running/studio';
import { ledgerFaults } from '../words/ledgerWords';
import { storedName } from './archiveNames';

const silent = () => undefined;

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
