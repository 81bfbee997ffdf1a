import { blockRows } from '@/core/capture/reading';
import type { ReadingPart } from '@/core/capture/reading';
import { sliceRows } from '@/core/jobs';
import { allOf } from './divided';
import type { Inspection } from './inspectPass';
import { pixelSize } from './pixelSource';
import { partOf } from './progress';
import type { Progress } from './progress';
import { WORKERS, runInWorker } from './workerPool';

/** Reads a working copy at full resolution, by all worker threads, each some rows of blocks. */
export async function inspect(
  pixels: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<Inspection> {
  const { height } = await pixelSize(pixels);
  const ranges = sliceRows(blockRows(height), WORKERS, 1);
  const parts = await allOf<(typeof ranges)[number], ReadingPart>(
    ranges,
    partOf(progress, 0, 0.92),
    (rows, p) => runInWorker('inspectBlocks', { pixels, rows }, p, signal),
  );
  return runInWorker('finishReading', { pixels, parts }, partOf(progress, 0.92, 1), signal);
}
