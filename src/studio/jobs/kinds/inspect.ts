import { mkdir, stat, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { masterReading, saveReading } from '@/data';
import { inspect, partOf, settle, storePaths } from '@/engine';
import type { Progress } from '@/engine';
import { ensureWorkingCopy } from '../picture';
import { now } from '../../running/studio';
import type { Studio } from '../../running/studio';
import type { JobDefinition } from '../definition';

/** A stored file whose pixels are to be read. */
export interface InspectSpec {
  sha256: string;
  workId: number;
}

/** Reads a master's pixels, once for each version of the reading, and keeps what was read. */
async function inspectRun(
  open: Studio,
  { sha256, workId }: InspectSpec,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const paths = storePaths(open.home);
  const target = paths.extremes(sha256);
  const there = await stat(target).catch(() => null);
  const known = await masterReading(open.db.read, sha256);
  if (known && there) return;
  const spec = { sha256, assumedSpace: null };
  await ensureWorkingCopy(open, spec, partOf(progress, 0, 0.1), signal);
  const { reading, extremes } = await inspect(
    paths.pixels(sha256),
    partOf(progress, 0.1, 1),
    signal,
  );
  const part = paths.temporary();
  await mkdir(dirname(part), { recursive: true });
  await writeFile(part, extremes);
  await settle(part, target);
  await open.db.write(async (tx) => {
    // The same file may have been read for another work meanwhile.
    if (!(await masterReading(tx, sha256)))
      await saveReading(tx, { sha256, reading, workId, at: now() });
  });
}

export const inspectMaster: JobDefinition<InspectSpec> = {
  called: 'Reading the master',
  run: inspectRun,
};
