import { mkdir, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { dependants, ledgerHead, referredFiles, snapshotDatabase } from '@/data';
import type { LedgerHead } from '@/data';
import { SHA256, partOf, runInWorker, storePaths } from '@/engine';
import type { PackResult, Progress } from '@/engine';
import type { Studio } from '../../running/studio';
import { DATABASE, storedName } from '../../safekeeping/archiveNames';
import type { JobDefinition } from '../definition';

export interface BackupSpec {
  /** The archive to write. */
  target: string;
  /** Where it grows, beside its place; a name that no other has. */
  part: string;
  /** ISO 8601 instant. */
  made: string;
}

/** What a backup holds, as it is noted. */
export interface BackupResult extends PackResult {
  name: string;
  folder: string;
  /** What depends on each damaged file that had to be left out. */
  lost: string[];
  /** How far the ledger had come; of backups of before it was not noted. */
  ledger?: LedgerHead | null;
}

/**
 * Copies the database as it stands and packs it with every file that it refers to. Files are
 * only ever added to the store, so all of them are there, whatever is written meanwhile.
 */
async function backupRun(
  open: Studio,
  { target, part, made }: BackupSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: BackupResult }> {
  const paths = storePaths(open.home);
  const copy = paths.temporary('.db');
  await mkdir(paths.tmp, { recursive: true });
  try {
    progress('copying the database', 0);
    const ledger = await ledgerHead(open.db.read);
    await snapshotDatabase(open.db.read, copy);
    const named = await referredFiles(open.db.read);
    const hashes = named.filter((name) => SHA256.test(name));
    const entries = [
      { name: DATABASE, path: copy, sha256: null },
      ...hashes.map((sha256) => ({
        name: storedName(sha256),
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
      result: { ...packed, lost, ledger, name: basename(target), folder: dirname(target) },
    };
  } finally {
    await rm(copy, { force: true });
    await rm(part, { force: true });
  }
}

/** Whether a path is where this archive would grow: nothing else is ever swept away for it. */
const isPartOf = (target: string, part: string): boolean =>
  part === join(dirname(target), basename(part)) && /^\..+\.part$/.test(basename(part));

export const backup: JobDefinition<BackupSpec> = {
  called: 'Making a backup',
  run: backupRun,
  leavesParts: ({ target, part }) => (isPartOf(target, part) ? [part] : []),
};
