import { access } from 'node:fs/promises';
import { currentMasterFiles, masterReading, newestJob } from '@/data';
import { storePaths } from '@/engine';
import { startJob } from '../jobs/startJob';
import { pictureSpec } from '../jobs/picture';
import { now } from './open';
import type { Studio } from './open';

/**
 * Queues the reading of every master whose preview is gone though it was read before, as
 * after a restore: what is derived is not in a backup, since it can be made again. One whose
 * pixels were read by an earlier version of the reading, or never, is read again.
 */
export async function remakeMissing(open: Studio): Promise<number> {
  let queued = 0;
  for (const master of await currentMasterFiles(open.db.read)) {
    const { workId, sha256, picture } = master;
    const last = await newestJob(open.db.read, workId, 'read');
    if (last?.state !== 'done') continue;
    const there = await access(storePaths(open.home).preview(picture)).then(
      () => true,
      () => false,
    );
    if (there && (await masterReading(open.db.read, sha256))) continue;
    const at = now();
    if (there)
      await startJob(open, { kind: 'inspect', workId, spec: { sha256, workId }, at });
    else
      await startJob(open, {
        kind: 'read',
        workId,
        spec: { ...pictureSpec(master), workId },
        at,
      });
    queued += 1;
  }
  return queued;
}
