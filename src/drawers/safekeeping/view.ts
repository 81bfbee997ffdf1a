import { stat } from 'node:fs/promises';
import { lastDone, readSettings, recentJobs, storedBytes } from '@/data';
import type { JobKind } from '@/data';
import { backupFolder, canName, followedJob, lastBackup, now, studio } from '@/studio';
import type { BackupResult, CheckResult, RestoreResult, Studio } from '@/studio';

const LISTED = 8;
const DAY_MS = 86_400_000;

/** The newest job of a kind, if it is under way or did not end well. */
async function unsettled(open: Studio, kind: JobKind) {
  const [row] = await recentJobs(open.db.read, kind, 1);
  return row && row.state !== 'done' && row.state !== 'cancelled'
    ? followedJob(open, row)
    : null;
}

const diskOf = (path: string): Promise<number | null> =>
  stat(path).then(
    (s) => s.dev,
    () => null,
  );

/** What is stored, when it was last saved elsewhere, and whether it still is what it was. */
export async function loadSafekeeping() {
  const open = await studio();
  const db = open.db.read;
  const folder = await backupFolder(open);
  const [settings, stored, last, jobs, checked, making, checking, restoring, restored] =
    await Promise.all([
      readSettings(db),
      storedBytes(db),
      lastBackup(db),
      recentJobs(db, 'backup', LISTED),
      lastDone(db, 'check'),
      unsettled(open, 'backup'),
      unsettled(open, 'check'),
      unsettled(open, 'restore'),
      lastDone(db, 'restore'),
    ]);
  const [dataDisk, backupDisk] = await Promise.all([diskOf(open.home), diskOf(folder)]);
  return {
    home: open.home,
    folder,
    chosenFolder: settings.backupFolder,
    sameDisk: backupDisk === null || backupDisk === dataDisk,
    stored,
    last,
    daysOld: last
      ? Math.max(0, Math.floor((Date.parse(now()) - Date.parse(last.at)) / DAY_MS))
      : null,
    backups: jobs
      .filter((j) => j.state === 'done' && j.result !== null)
      .map((j) => ({ id: j.id, at: j.at, ...(j.result as BackupResult) })),
    check: checked?.result ? { at: checked.at, ...(checked.result as CheckResult) } : null,
    making,
    checking,
    restoring,
    restored: (restored?.result ?? null) as RestoreResult | null,
    archives: jobs
      .filter((j) => j.state === 'done' && j.result !== null)
      .map((j) => j.result as BackupResult)
      .map((b) => `${b.folder}/${b.name}`),
    unnamed: open.unnamed,
    naming: canName(),
  };
}

export type SafekeepingView = Awaited<ReturnType<typeof loadSafekeeping>>;
