import { rm } from 'node:fs/promises';
import type { MasterFacts } from '@/core/image';
import { addJob, addMaster } from '@/data';
import type { JobRow } from '@/data';
import { keep, partOf, runInWorker, settle, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';

/** A received file on its way to become the master of a work. */
export interface IntakeSpec {
  workId: number;
  sha256: string;
  bytes: number;
  name: string;
  facts: MasterFacts;
  at: string;
}

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
): Promise<{ following: JobRow }> {
  const { workId, sha256, name, facts, at } = spec;
  const paths = storePaths(open.home);
  const arrival = paths.arrival(sha256);
  const part = paths.temporary('.v');
  const target = paths.temporary('.v');
  try {
    const decode = { path: arrival, facts, part, target };
    await runInWorker('decode', decode, partOf(progress, 0, 0.95), signal);
    progress('keeping', 0.95);
    await settle(target, paths.pixels(sha256));
    await keep(open.home, { path: arrival, sha256, bytes: spec.bytes });
    return await open.db.write(async (tx) => {
      await addMaster(tx, { workId, sha256, name, at, assumedSpace: null }, facts);
      const read = { sha256, assumedSpace: null, workId };
      return { following: await addJob(tx, { kind: 'read', workId, spec: read, at }) };
    });
  } finally {
    await Promise.all([part, target, arrival].map((path) => rm(path, { force: true })));
  }
}

export const intake: JobDefinition<IntakeSpec> = {
  called: 'Taking in the master',
  run: intakeRun,
  needsArrivals: ({ sha256 }) => [sha256],
};
