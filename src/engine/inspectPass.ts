import { Spectrograph } from '@/core/capture/detail';
import type { TileSpectrum } from '@/core/capture/detail';
import {
  BLOCK,
  BlockReader,
  blocksOfRow,
  joinParts,
  readingOf,
  tileLight,
} from '@/core/capture/reading';
import type { MasterReading, ReadingPart, TilePlace } from '@/core/capture/reading';
import type { RowRange } from './resampler';
import { PixelSource } from './pixelSource';
import type { Progress } from './progress';

/** Reads some rows of blocks of a working copy. */
export async function inspectBlocks(
  { pixels, rows }: { pixels: string; rows: RowRange },
  progress: Progress,
): Promise<ReadingPart> {
  const source = await PixelSource.open(pixels);
  const { width, height, channels } = source;
  const bottom = Math.min(height, rows.to * BLOCK);
  const reader = new BlockReader(width, height, channels, rows.from * BLOCK, bottom);
  try {
    for (let row = rows.from; row < rows.to; row += 1) {
      const places = blocksOfRow(width, height, row);
      for (const [i, place] of places.entries()) {
        reader.add(place, (...of) => source.part(...of));
        const done = (row - rows.from + (i + 1) / places.length) / (rows.to - rows.from);
        progress('sweeping for specks, counting tones', done);
      }
    }
    return reader.part();
  } finally {
    await source.close();
  }
}

/** Power spectra of square tiles of a working copy, of light of 0..255. */
function spectraOf(
  source: PixelSource,
  tiles: readonly TilePlace[],
  side: number,
  progress: Progress,
): TileSpectrum[] {
  const spectrograph = new Spectrograph(side);
  const samples = new Uint16Array(side * side * source.channels);
  return tiles.map(({ left, top }, k) => {
    source.part(top, side, { left, right: left + side }, samples);
    progress('measuring detail', (k + 1) / tiles.length);
    return spectrograph.of(tileLight(samples, source.channels));
  });
}

/** A reading, and the grid of darkest and lightest values that overlays are drawn from. */
export interface Inspection {
  reading: MasterReading;
  extremes: Uint8Array;
}

/** Joins what was read of all rows of blocks, and takes the spectra that are still wanted. */
export async function finishReading(
  { pixels, parts }: { pixels: string; parts: ReadingPart[] },
  progress: Progress,
): Promise<Inspection> {
  const source = await PixelSource.open(pixels);
  try {
    const joined = joinParts(parts, source.width, source.height);
    const { tiles } = joined;
    const spectra = tiles ? spectraOf(source, tiles.best, tiles.side, progress) : [];
    return { reading: readingOf(joined, spectra), extremes: joined.part.extremes };
  } finally {
    await source.close();
  }
}
