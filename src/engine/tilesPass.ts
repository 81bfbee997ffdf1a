import { mkdir, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { zoomLevels } from '@/core/image';
import type { ZoomLevel } from '@/core/image';
import { rowConverter } from './masterColour';
import type { MasterColour } from './masterColour';
import { PixelSource } from './pixelSource';
import type { Progress } from './progress';
import { halve, intoEightBits } from './rowMath';
import { sharp } from './sharpSetup';

export const TILE = 512;
const PREVIEW_LONGEST = 2000;
const QUALITY = 88;

/** The working copy and its colour; where tiles and preview go, and a folder to make them in. */
export interface TilesWork {
  pixels: string;
  colour: MasterColour;
  scratch: string;
  tilesFolder: string;
  preview: string;
}

/** Rows waiting at one level until a row of tiles is full. */
interface Shelf extends ZoomLevel {
  pixels: Uint8Array;
  filled: number;
  tileRow: number;
}

const encode = (data: Uint8Array, width: number, height: number) =>
  sharp(data, { raw: { width, height, channels: 3 } }).jpeg({ quality: QUALITY });

/** Cuts the rows on a shelf into one row of tiles; the shelf is free before they are written. */
function cut(shelf: Shelf, folder: string): Promise<unknown> {
  const jobs: Promise<unknown>[] = [];
  for (let column = 0; column < shelf.columns; column += 1) {
    const left = column * TILE;
    const width = Math.min(TILE, shelf.width - left);
    const tile = new Uint8Array(width * shelf.filled * 3);
    for (let y = 0; y < shelf.filled; y += 1) {
      const at = (y * shelf.width + left) * 3;
      tile.set(shelf.pixels.subarray(at, at + width * 3), y * width * 3);
    }
    const path = join(folder, String(shelf.level), `${column}_${shelf.tileRow}.jpg`);
    jobs.push(encode(tile, width, shelf.filled).toFile(path));
  }
  return Promise.all(jobs);
}

/**
 * One pass over the working copy: all levels of the deep-zoom pyramid in sRGB, and the
 * preview. Memory: two shelves of `TILE` rows over all levels.
 */
export async function tilesPass(
  { pixels, colour, scratch, tilesFolder, preview: previewPath }: TilesWork,
  progress: Progress,
): Promise<void> {
  const source = await PixelSource.open(pixels);
  const converter = await rowConverter(colour, source.channels, 'srgb', {
    intent: 'relative',
    blackPoint: true,
    exact: false,
  });
  const part = join(scratch, 'tiles');
  const shelves: Shelf[] = zoomLevels(source.width, source.height, TILE).map((level) => ({
    ...level,
    pixels: new Uint8Array(level.width * TILE * 3),
    filled: 0,
    tileRow: 0,
  }));
  await Promise.all(
    shelves.map((s) => mkdir(join(part, String(s.level)), { recursive: true })),
  );
  const previewLevel = shelves.findIndex(
    (s) => Math.max(s.width, s.height) <= PREVIEW_LONGEST,
  );
  const previewRows: Uint8Array[] = [];
  let writing: Promise<unknown> = Promise.resolve();

  const flush = async (i: number): Promise<void> => {
    const shelf = shelves[i]!;
    if (shelf.filled === 0) return;
    const rows = shelf.pixels.subarray(0, shelf.filled * shelf.width * 3);
    if (i === previewLevel) previewRows.push(rows.slice());
    // While the library writes one row of tiles, the next is converted and halved.
    const earlier = writing;
    writing = cut(shelf, part);
    writing.catch(() => undefined);
    await earlier;
    const height = shelf.filled;
    shelf.filled = 0;
    shelf.tileRow += 1;
    if (i + 1 < shelves.length) await put(i + 1, halve(rows, shelf.width, height));
  };
  const put = async (i: number, rows: Uint8Array): Promise<void> => {
    const shelf = shelves[i]!;
    shelf.pixels.set(rows, shelf.filled * shelf.width * 3);
    shelf.filled += rows.length / (shelf.width * 3);
    if (shelf.filled === TILE) await flush(i);
  };

  const band = TILE / 4;
  for (let top = 0; top < source.height; top += band) {
    const rows = Math.min(band, source.height - top);
    const deep = converter.toTarget(await source.rows(top, rows), rows * source.width);
    const flat = new Uint8Array(deep.length);
    intoEightBits(deep, 0, deep.length, flat, 0);
    await put(0, flat);
    progress('cutting tiles', (top + rows) / source.height);
  }
  for (let i = 0; i < shelves.length; i += 1) await flush(i);
  await writing;
  converter.close();
  await source.close();

  const preview = shelves[previewLevel]!;
  await mkdir(dirname(previewPath), { recursive: true });
  const previewPart = join(scratch, 'preview.jpg');
  await encode(Buffer.concat(previewRows), preview.width, preview.height).toFile(
    previewPart,
  );
  await rename(previewPart, previewPath);
  await rm(tilesFolder, { recursive: true, force: true });
  await rename(part, tilesFolder);
}
