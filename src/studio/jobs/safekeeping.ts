import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import {
  checkLedger,
  dependants,
  lastDone,
  openDatabase,
  readSettings,
  referredFiles,
  settleRestored,
  snapshotDatabase,
} from '@/data';
import type { Reading } from '@/data';
import type { ChainCheck } from '@/core/edition';
import { BadArchive, partOf, runInWorker, storePaths, unfinished } from '@/engine';
import type { Manifest, PackResult, Progress } from '@/engine';
import type { Studio } from '../running/open';

const DATABASE = 'studio.db';
const nameOf = (sha256: string) => `files/${sha256.slice(0, 2)}/${sha256}`;
const silent = () => undefined;

export interface BackupSpec {
  /** The archive to write. */
  target: string;
  /** ISO 8601 instant. */
  made: string;
}

/** What a backup holds, as it is noted. */
export interface BackupResult extends PackResult {
  name: string;
  folder: string;
  /** What depends on each damaged file that had to be left out. */
  lost: string[];
}

/** Where backups go unless a folder is set: beside the data, so better set one elsewhere. */
export async function backupFolder(open: Studio): Promise<string> {
  const { backupFolder: chosen } = await readSettings(open.db.read);
  return chosen === '' ? join(open.home, 'backups') : resolve(chosen);
}

/** Name of a backup made at an instant; sorts by time. */
export const backupName = (at: string): string =>
  `glassine-${at.slice(0, 10)}-${at.slice(11, 19).replaceAll(':', '')}.zip`;

/**
 * Copies the database as it stands and packs it with every file that it refers to. Files are
 * only ever added to the store, so all of them are there, whatever is written meanwhile.
 */
export async function backupRun(
  open: Studio,
  { target, made }: BackupSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: BackupResult }> {
  const paths = storePaths(open.home);
  const copy = paths.temporary('.db');
  const part = unfinished(target);
  await mkdir(paths.tmp, { recursive: true });
  try {
    progress('copying the database', 0);
    await snapshotDatabase(open.db.read, copy);
    const hashes = await referredFiles(open.db.read);
    const entries = [
      { name: DATABASE, path: copy, sha256: null },
      ...hashes.map((sha256) => ({
        name: nameOf(sha256),
        path: paths.file(sha256),
        sha256,
      })),
    ];
    const packed = await runInWorker(
      'pack',
      { entries, target, part, made },
      partOf(progress, 0.02, 1),
      signal,
    );
    const gone = packed.damaged.map((name) => basename(name));
    const lost = (await dependants(open.db.read, gone)).map((d) => d.what);
    return {
      result: { ...packed, lost, name: basename(target), folder: dirname(target) },
    };
  } finally {
    await rm(copy, { force: true });
    await rm(part, { force: true });
  }
}

export interface CheckResult {
  files: number;
  bytes: number;
  missing: { sha256: string; what: string[] }[];
  damaged: { sha256: string; what: string[] }[];
  ledger: ChainCheck;
}

/** Holds every stored file against its hash, and every entry of the ledger against the one before. */
export async function checkRun(
  open: Studio,
  _spec: unknown,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: CheckResult }> {
  const paths = storePaths(open.home);
  const hashes = await referredFiles(open.db.read);
  const files = hashes.map((sha256) => ({ sha256, path: paths.file(sha256) }));
  const found = await runInWorker('checkStored', { files }, progress, signal);
  const words = await dependants(open.db.read, [...found.missing, ...found.damaged]);
  const named = (list: string[]) =>
    list.map((sha256) => ({
      sha256,
      what: words.filter((w) => w.sha256 === sha256).map((w) => w.what),
    }));
  return {
    result: {
      files: files.length,
      bytes: found.bytes,
      missing: named(found.missing),
      damaged: named(found.damaged),
      ledger: await checkLedger(open.db.read),
    },
  };
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
export async function restoreBackup(
  archive: string,
  home: string,
  progress: Progress = silent,
): Promise<Manifest> {
  const there = await readdir(home).catch(() => null);
  if (there !== null && there.length > 0)
    throw new BadArchive(
      `${home} is not empty, and nothing is ever restored over something. Name a new folder.`,
    );
  const folder = `${resolve(home)}.restoring`;
  await rm(folder, { recursive: true, force: true });
  await mkdir(folder, { recursive: true });
  try {
    const manifest = await runInWorker(
      'unpack',
      { archive: resolve(archive), folder },
      progress,
      new AbortController().signal,
    ).catch((error: Error) => {
      throw new BadArchive(error.message);
    });
    const db = await openDatabase(folder);
    try {
      const names = new Set([...manifest.files.map((f) => f.name), ...manifest.leftOut]);
      const absent = (await referredFiles(db.read)).filter((h) => !names.has(nameOf(h)));
      const [first] = await dependants(db.read, absent);
      if (absent.length > 0) throw new BadArchive(`it lacks ${first?.what ?? absent[0]}`);
      const ledger = await checkLedger(db.read);
      if (!ledger.sound)
        throw new BadArchive(`its edition ledger is broken at entry ${ledger.brokenAt}`);
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
  }
}
