import { addJob, addMaster } from '@/data';
import type { Master } from '@/data';
import type { MasterFacts } from '@/core/image';
import {
  hashFile,
  keep,
  masterColourOf,
  readMaster,
  runInWorker,
  storePaths,
  writeWorkingCopy,
} from '@/engine';
import type { MasterColour, Received } from '@/engine';
import { now } from './open';
import type { Studio } from './open';

/** The colour of a master, its profile read from the stored original. */
export async function colourOf(open: Studio, master: Master): Promise<MasterColour> {
  return masterColourOf(storePaths(open.home).file(master.sha256), master.assumedSpace);
}

export { hashFile };

/**
 * Takes a received file as the master of a work: reads it, decodes it once whole into the
 * working copy (which refuses what breaks off), keeps it under its hash, and only then
 * writes it down. Throws FileRefusal; then nothing is left.
 */
export async function takeMaster(
  open: Studio,
  received: Received,
  workId: number,
  name: string,
  at: string = now(),
): Promise<{ masterId: number; facts: MasterFacts; jobId: number }> {
  const paths = storePaths(open.home);
  const { facts } = await readMaster(received.path, received.bytes);
  await writeWorkingCopy(received.path, facts, paths.pixels(received.sha256));
  await keep(open.home, received);
  const { sha256 } = received;
  const written = await open.db.write(async (tx) => ({
    masterId: await addMaster(tx, { workId, sha256, name, at, assumedSpace: null }, facts),
    job: await addJob(tx, 'read', workId, at),
  }));
  void startReading(open, { workId, sha256, assumedSpace: null }, written.job.id);
  return { masterId: written.masterId, facts, jobId: written.job.id };
}

/** Queues the pass that cuts tiles and preview; settles when it has ended. */
export function startReading(
  open: Studio,
  master: Pick<Master, 'workId' | 'sha256' | 'assumedSpace'>,
  jobId: number,
): Promise<void> {
  const paths = storePaths(open.home);
  const job = {
    id: jobId,
    kind: 'read' as const,
    workId: master.workId,
    state: 'queued' as const,
    stage: 'waiting',
    share: 0,
    error: null,
  };
  return open.jobs.add(job, async (progress, signal) =>
    runInWorker(
      {
        task: 'tiles',
        pixels: paths.pixels(master.sha256),
        colour: await masterColourOf(paths.file(master.sha256), master.assumedSpace),
        tilesFolder: paths.tiles(master.sha256),
        preview: paths.preview(master.sha256),
      },
      progress,
      signal,
    ),
  );
}
