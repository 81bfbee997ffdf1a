import type { Progress } from '@/engine';
import type { Studio } from '../../running/studio';
import { restoreBackup } from '../../safekeeping/restore';
import type { JobDefinition } from '../definition';

export interface RestoreSpec {
  /** The archive to read. */
  archive: string;
  /** The new or empty folder that it is unpacked into. */
  into: string;
}

/** What was restored, as it is noted. */
export interface RestoreResult {
  folder: string;
  /** ISO 8601 instant of the backup. */
  made: string;
  files: number;
  /** Files that the backup lacks, since they were damaged when it was made. */
  leftOut: string[];
}

async function restoreRun(
  _open: Studio,
  { archive, into }: RestoreSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ result: RestoreResult }> {
  const manifest = await restoreBackup(archive, into, progress, signal);
  const { made, files, leftOut } = manifest;
  return { result: { folder: into, made, files: files.length, leftOut: [...leftOut] } };
}

/** Unpacks a backup beside the studio that is open, which stays as it is. */
export const restore: JobDefinition<RestoreSpec> = {
  called: 'Restoring a backup',
  run: restoreRun,
};
