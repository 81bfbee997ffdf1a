import { sliceRows } from '@/core/jobs';
import { rm } from 'node:fs/promises';
import { ppiOf } from '@/core/prepare';
import type { PrintFileWork } from '../passes/printFilePass';
import { inStrips, layOutPrintFile, layoutOf } from '../passes/printFilePass';
import { FIGURES_PARTS, joinFigures } from '../passes/proofFigures';
import type { FiguresPart, FiguresWork, ProofFigures } from '../passes/proofFigures';
import { proofLayout } from '../passes/softProofPass';
import type { SoftProofWork } from '../passes/softProofPass';
import { layOutTiff, rowsPerStrip } from '../tiff/tiffWriter';
import { stripsPath } from '../tiff/tiffStrips';
import { partOf, sideBySide } from '../progress';
import type { Progress } from '../progress';
import { layOutDerived, settleDerived } from '../passes/derivePass';
import type { DeriveWork } from '../passes/derivePass';
import type { RowRange } from '../rowRange';
import { layOutTiles } from '../passes/tilesPass';
import type { TilesWork } from '../passes/tilesPass';
import { WORKERS, runInWorker } from './workerPool';
import type { WorkerPool } from './workerPool';

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

/** The rows of a sheet, divided for the worker threads: compressed ones where strips begin. */
export function printRanges(work: PrintFileWork): RowRange[] {
  const { height } = work.plan;
  if (!inStrips(work)) return sliceRows(height, WORKERS, LEAST_ROWS);
  const rows = rowsPerStrip(layoutOf(work));
  const least = Math.ceil(LEAST_ROWS / rows);
  return sliceRows(Math.ceil(height / rows), WORKERS, least).map(({ from, to }) => ({
    from: from * rows,
    to: Math.min(height, to * rows),
  }));
}

/** Fills a TIFF by all worker threads, each a range of its rows. */
async function fillTiff(
  work: PrintFileWork,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  const ranges = printRanges(work);
  try {
    await layOutPrintFile(work);
    const counts = await allOf(ranges, partOf(progress, 0, 0.97), (range, p) =>
      runInWorker('printFileRows', { work, range }, p, signal),
    );
    const parts = ranges.map(({ from }, i) => ({ from, counts: counts[i]! }));
    if (inStrips(work)) await runInWorker('joinStrips', { work, parts }, progress, signal);
  } finally {
    await Promise.all(
      ranges.map(({ from }) => rm(stripsPath(work.target, from), { force: true })),
    );
  }
}

/**
 * Writes a print file: a TIFF at once; a PNG or JPEG out of an uncompressed TIFF that is made
 * beside it. `watermark`: words over the picture.
 */
export async function fillPrintFile(
  work: PrintFileWork,
  progress: Progress,
  signal: AbortSignal,
  watermark?: string,
): Promise<void> {
  const { target, recipe, about } = work;
  const wish = recipe.file;
  if (wish.format === 'tiff') return fillTiff(work, progress, signal);
  const whole = `${target}.tif`;
  try {
    // A JPEG has 8 bits: its values are rounded here, not cut off where it is encoded. A dither
    // would not outlive the encoding (docs/preparing.md).
    const jpeg = wish.format === 'jpeg';
    const file = { ...wish, bits: jpeg ? 8 : wish.bits, dither: wish.dither && !jpeg };
    const rounded = { ...recipe, file };
    await fillTiff(
      { ...work, recipe: rounded, target: whole },
      partOf(progress, 0, 0.8),
      signal,
    );
    progress(`writing the ${wish.format.toUpperCase()}`, 0.8);
    const encode = { path: whole, target, wish, ppi: ppiOf(recipe), about, watermark };
    await runInWorker('encode', encode, () => undefined, signal);
  } finally {
    await rm(whole, { force: true });
  }
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

/** Writes the proofed picture, 16 bit in the master's space, by all worker threads. */
export async function fillSoftProof(
  work: SoftProofWork,
  progress: Progress,
  signal: AbortSignal,
): Promise<void> {
  await layOutTiff(work.target, proofLayout(work));
  const ranges = sliceRows(work.height, WORKERS, LEAST_ROWS);
  await allOf(ranges, progress, (range, p) =>
    runInWorker('softProofRows', { work, range }, p, signal),
  );
}

/** What printing a picture through a profile costs it, measured by two threads: of those that work, or of those that answer. */
export async function measureProof(
  work: FiguresWork,
  run: WorkerPool['run'],
  signal: AbortSignal,
): Promise<ProofFigures> {
  const part = (of: FiguresPart) =>
    run('proofFigures', { work, part: of }, () => undefined, signal);
  const [one, other] = FIGURES_PARTS;
  return joinFigures(await Promise.all([part(one), part(other)]));
}
