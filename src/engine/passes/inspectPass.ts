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
import type {
  JoinedParts,
  MasterReading,
  ReadingPart,
  TilePlace,
} from '@/core/capture/reading';
import type { RowRange } from '../rowRange';
import { PixelSource } from '../decode/pixelSource';
import type { Progress } from '../progress';

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
export async function tileSpectra(
  { pixels, tiles, side }: { pixels: string; tiles: readonly TilePlace[]; side: number },
  progress: Progress,
): Promise<TileSpectrum[]> {
  const source = await PixelSource.open(pixels);
  try {
    const spectrograph = new Spectrograph(side);
    const samples = new Uint16Array(side * side * source.channels);
    return tiles.map(({ left, top }, k) => {
      source.part(top, side, { left, right: left + side }, samples);
      progress('measuring detail', (k + 1) / tiles.length);
      return spectrograph.of(tileLight(samples, source.channels));
    });
  } finally {
    await source.close();
  }
}

/** Joins what was read of all rows of blocks of a picture. */
export const joinReading = (input: {
  parts: ReadingPart[];
  width: number;
  height: number;
}): Promise<JoinedParts> =>
  Promise.resolve(joinParts(input.parts, input.width, input.height));

/** A reading, and the grid of darkest and lightest values that overlays are drawn from. */
export interface Inspection {
  reading: MasterReading;
  extremes: Uint8Array;
}

/** The reading, of joined parts and the spectra of their best tiles. */
export const finishReading = (input: {
  joined: JoinedParts;
  spectra: TileSpectrum[];
}): Promise<Inspection> =>
  Promise.resolve({
    reading: readingOf(input.joined, input.spectra),
    extremes: input.joined.part.extremes,
  });
