import { access } from 'node:fs/promises';
import { newestJob, currentMasterFiles } from '@/data';
import { storePaths } from '@/engine';
import { startJob } from './jobRuns';
import { now } from './open';
import type { Studio } from './open';

/**
 * Queues the reading of every master whose preview is gone though it was read before, as
 * after a restore: what is derived is not in a backup, since it can be made again.
 */
export async function remakeMissing(open: Studio): Promise<number> {
  let queued = 0;
  for (const { workId, sha256, assumedSpace } of await currentMasterFiles(open.db.read)) {
    const there = await access(storePaths(open.home).preview(sha256)).then(
      () => true,
      () => false,
    );
    if (there) continue;
    const last = await newestJob(open.db.read, workId, 'read');
    if (last?.state !== 'done') continue;
    await startJob(open, {
      kind: 'read',
      workId,
      spec: { sha256, assumedSpace },
      at: now(),
    });
    queued += 1;
  }
  return queued;
}
