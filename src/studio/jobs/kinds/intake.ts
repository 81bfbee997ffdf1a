import { rm } from 'node:fs/promises';
import type { MasterFacts } from '@/core/image';
import { addJob, addMaster, worksOfFile } from '@/data';
import type { JobRow } from '@/data';
import { partOf, runInWorker, settle, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { keeping } from '../../keeping/keeping';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';

/** A received file on its way to become the master of a work. */
export interface IntakeSpec {
  workId: number;
  sha256: string;
  /** Under which name it waits; orders of before have their file under its hash. */
  arrival?: string;
  bytes: number;
  name: string;
  facts: MasterFacts;
  at: string;
}

const arrivalOf = ({ arrival, sha256 }: IntakeSpec): string => arrival ?? sha256;

/**
 * Decodes a received file once whole into the working copy (which refuses what breaks off),
 * keeps it under its hash, and only then writes it down as the master; its reading follows.
 * Stopped by the user or refused, nothing of it is left.
 */
async function intakeRun(
  open: Studio,
  spec: IntakeSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<{ following?: JobRow }> {
  const { workId, sha256, name, facts, at } = spec;
  const paths = storePaths(open.home);
  const arrival = paths.arrival(arrivalOf(spec));
  const part = paths.temporary('.v');
  const target = paths.temporary('.v');
  try {
    const decode = { path: arrival, facts, part, target };
    await runInWorker('decode', decode, partOf(progress, 0, 0.95), signal);
    progress('keeping', 0.95);
    await settle(target, paths.pixels(sha256));
    return await keeping(open, async ({ keep }) => {
      await keep({ path: arrival, sha256, bytes: spec.bytes });
      return open.db.write(async (tx) => {
        // The same file may have become its master while this one was decoded: that one counts.
        const had = await worksOfFile(tx, sha256);
        if (had.some((h) => h.workId === workId)) return {};
        await addMaster(tx, { workId, sha256, name, at, assumedSpace: null }, facts);
        const read = { sha256, assumedSpace: null, workId };
        return { following: await addJob(tx, { kind: 'read', workId, spec: read, at }) };
      });
    });
  } finally {
    await Promise.all([part, target, arrival].map((path) => rm(path, { force: true })));
  }
}

export const intake: JobDefinition<IntakeSpec> = {
  called: 'Taking in the master',
  run: intakeRun,
  needsArrivals: (spec) => [arrivalOf(spec)],
};
