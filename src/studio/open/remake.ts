import { mastersReadOnce } from '@/data';
import { storePaths } from '@/engine';
import { startJob } from '../jobs/startJob';
import { isThere, pictureSpec } from '../jobs/picture';
import { now } from './open';
import type { Studio } from './open';

/** Masters looked at before anything else has its turn. */
const SLICE = 100;

/**
 * Queues the reading of every master whose preview is gone though it was read before, as
 * after a restore: what is derived is not in a backup, since it can be made again. One whose
 * pixels were read by an earlier version of the reading, or never, is read again.
 */
export async function remakeMissing(open: Studio): Promise<number> {
  let queued = 0;
  const paths = storePaths(open.home);
  for (let after = 0; ;) {
    const slice = await mastersReadOnce(open.db.read, after, SLICE);
    const there = await Promise.all(
      slice.map(({ master }) => isThere(paths.preview(master.picture))),
    );
    for (const [i, { master, isRead }] of slice.entries()) {
      if (there[i] && isRead) continue;
      const { workId, sha256 } = master;
      const at = now();
      if (there[i])
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
    if (slice.length < SLICE) return queued;
    after = slice.at(-1)!.master.workId;
  }
}
