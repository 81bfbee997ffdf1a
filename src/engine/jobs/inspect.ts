import { blockRows } from '@/core/capture/reading';
import { sliceRows } from '@/core/jobs';
import { allOf } from './divided';
import type { Inspection } from '../passes/inspectPass';
import { pixelSize } from '../decode/pixelSource';
import { partOf } from '../progress';
import type { Progress } from '../progress';
import { WORKERS, runInWorker } from './workerPool';

/** Reads a working copy at full resolution, by all worker threads, each some rows of blocks. */
export async function inspect(
  pixels: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<Inspection> {
  const { width, height } = await pixelSize(pixels);
  const ranges = sliceRows(blockRows(height), WORKERS, 1);
  const parts = await allOf(ranges, partOf(progress, 0, 0.94), (rows, p) =>
    runInWorker('inspectBlocks', { pixels, rows }, p, signal),
  );
  const rest = partOf(progress, 0.94, 1);
  const joined = await runInWorker('joinReading', { parts, width, height }, rest, signal);
  const { side, best } = joined.tiles ?? { side: 0, best: [] };
  const shares = best.length > 0 ? sliceRows(best.length, WORKERS, 1) : [];
  const spectra = await allOf(shares, rest, ({ from, to }, p) =>
    runInWorker('tileSpectra', { pixels, tiles: best.slice(from, to), side }, p, signal),
  );
  return runInWorker('finishReading', { joined, spectra: spectra.flat() }, rest, signal);
}
