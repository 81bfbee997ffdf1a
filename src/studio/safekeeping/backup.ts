import { stampIn } from '@/core/days';
import { readdir } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { jobsUnderWay, lastDone, readSettings } from '@/data';
import type { Reading } from '@/data';
import { unfinished } from '@/engine';
import type { BackupResult } from '../jobs/kinds/backup';
import { noteJob, queueJob } from '../jobs/startJob';
import type { Studio } from '../running/studio';

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
