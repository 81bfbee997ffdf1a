import { sliceRows } from '@/core/jobs';
import type { PrintFileWork } from './printFilePass';
import { layOutPrintFile } from './printFilePass';
import { partOf, sideBySide } from './progress';
import type { Progress } from './progress';
import { layOutDerived, settleDerived } from './derivePass';
import type { DeriveWork } from './derivePass';
import { layOutTiles } from './tilesPass';
import type { TilesWork } from './tilesPass';
import { WORKERS, runInWorker } from './workerPool';

/** Ranges of a print file are not cut shorter than this: each reads some rows of its neighbours. */
const LEAST_ROWS = 400;

/** Runs a task for every part at the same time; throws what the first that failed threw, once all have ended. */
export async function allOf<P, R>(
  parts: readonly P[],
  progress: Progress,
  run: (part: P, progress: Progress) => Promise<R>,
): Promise<R[]> {
  const shares = sideBySide(progress, parts.length);
  const ends = await Promise.allSettled(parts.map((part, i) => run(part, shares[i]!)));
  return ends.map((end) => {
    if (end.status === 'rejected') throw end.reason;
    return end.value;
  });
}

/** Lays a print file out and fills it by all worker threads, each a range of its rows. */
export async function fillPrintFile(
  work: PrintFileWork,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  await layOutPrintFile(work);
  const ranges = sliceRows(work.plan.height, WORKERS, LEAST_ROWS);
  await allOf(ranges, progress, (range, p) =>
    runInWorker('printFileRows', { work, range }, p, signal),
  );
}

/** Cuts all levels of the deep-zoom pyramid in sRGB and the preview, by all worker threads. */
export async function cutTiles(
  work: TilesWork,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const stacks = await layOutTiles(work, WORKERS);
  await allOf(stacks, partOf(progress, 0, 0.9), (columns, p) =>
    runInWorker('tileColumns', { work, columns }, p, signal),
  );
  await runInWorker('joinTiles', work, partOf(progress, 0.9, 1), signal);
}

/** Makes a derived working copy, by all worker threads, each a range of its rows. */
export async function derive(
  work: DeriveWork,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const height = await layOutDerived(work);
  const ranges = sliceRows(height, WORKERS, LEAST_ROWS);
  await allOf(ranges, progress, (range, p) =>
    runInWorker('deriveRows', { work, range }, p, signal),
  );
  await settleDerived(work);
}
