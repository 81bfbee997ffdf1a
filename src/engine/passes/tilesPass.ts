import { writeSync } from 'node:fs';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { zoomLevels } from '@/core/image';
import { sliceRows } from '@/core/jobs';
import { rowConverter } from '../colour/masterColour';
import type { MasterColour } from '../colour/masterColour';
import { PixelSource } from '../decode/pixelSource';
import type { Progress } from '../progress';
import { Pyramid, TILE, jpeg } from './pyramid';

const PREVIEW_LONGEST = 2000;
/** Levels that are cut in stacks of columns side by side, at least; the smaller ones follow in one. */
const SPLIT_LEVELS = 2;
/** Columns of the largest level that is cut in one. */
const MOST_IN_ONE = 8192;
const BAND = 64;
/** Columns that are held at once, so that memory does not grow with the width either. */
const MOST_COLUMNS = 4096;

/** The working copy and its colour; where tiles and preview go, and a folder to make them in. */
export interface TilesWork {
  pixels: string;
  width: number;
  height: number;
  colour: MasterColour;
  scratch: string;
  tilesFolder: string;
  preview: string;
}

/** Columns `from` to `to - 1` of the picture. */
export interface Columns {
  from: number;
  to: number;
}

function layOut({ width, height, scratch }: TilesWork) {
  const levels = zoomLevels(width, height, TILE);
  const preview = levels.findIndex((l) => Math.max(l.width, l.height) <= PREVIEW_LONGEST);
  const wide = Math.ceil(Math.log2(width / MOST_IN_ONE));
  const split = Math.min(Math.max(SPLIT_LEVELS, wide), preview);
  return {
    upper: levels.slice(0, split),
    lower: levels.slice(split),
    preview: levels[preview]!,
    folder: join(scratch, 'tiles'),
    /** Rows of the first level that is not split, 8-bit RGB, from all stacks. */
    middle: join(scratch, 'middle.rgb'),
    step: 2 ** split,
  };
}

/**
 * Makes the folders and divides the picture into stacks of whole tiles: at most `parts`, unless
 * that would make them too wide to be held.
 */
export async function layOutTiles(work: TilesWork, parts: number): Promise<Columns[]> {
  const { upper, lower, folder, middle, step } = layOut(work);
  for (const { level } of [...upper, ...lower])
    await mkdir(join(folder, String(level)), { recursive: true });
  const file = await open(/* turbopackIgnore: true */ middle, 'w');
  await file.truncate(lower[0]!.width * lower[0]!.height * 3);
  await file.close();
  const unit = TILE * step;
  const stacks = Math.max(parts, Math.ceil(work.width / MOST_COLUMNS));
  return sliceRows(Math.ceil(work.width / unit), stacks, 1).map(({ from, to }) => ({
    from: from * unit,
    to: Math.min(to * unit, work.width),
  }));
}

/** Cuts the largest levels of one stack of columns in sRGB, and halves it for the others. */
export async function tileColumns(
  work: TilesWork,
  { from, to }: Columns,
  progress: Progress,
): Promise<void> {
  const { upper, lower, folder, middle, step } = layOut(work);
  const source = await PixelSource.open(work.pixels);
  const converter = await rowConverter(work.colour, source.channels, 'srgb', {
    intent: 'relative',
    blackPoint: true,
    exact: false,
  });
  const file = await open(/* turbopackIgnore: true */ middle, 'r+');
  const own = Math.ceil((to - from) / step) * 3;
  let at = (from / step) * 3;
  const below = (rows: Uint8Array) => {
    for (let i = 0; i < rows.length; i += own, at += lower[0]!.width * 3)
      writeSync(file.fd, rows, i, own, at);
  };
  const stack = upper.map(({ level }, i) => ({
    level,
    width: Math.ceil((to - from) / 2 ** i),
    firstColumn: from / 2 ** i / TILE,
  }));
  const pyramid = new Pyramid(stack, folder, { below });
  const flat = new Uint8Array(BAND * (to - from) * 3);
  try {
    for (let top = 0; top < source.height; top += BAND) {
      const rows = Math.min(BAND, source.height - top);
      const samples = source.part(top, rows, { left: from, right: to });
      converter.toScreen(samples, rows * (to - from), flat);
      await pyramid.put(flat.subarray(0, rows * (to - from) * 3));
      progress('cutting tiles', (top + rows) / source.height);
    }
    await pyramid.finish();
  } finally {
    converter.close();
    await Promise.all([source.close(), file.close()]);
  }
}

/** After all stacks: cuts the smaller levels, writes the preview and puts all in its place. */
export async function joinTiles(work: TilesWork, progress: Progress): Promise<void> {
  const { lower, folder, middle, preview } = layOut(work);
  const { width, height } = lower[0]!;
  const previewRows: Uint8Array[] = [];
  const seen = (level: number, rows: Uint8Array) => {
    if (level === preview.level) previewRows.push(Uint8Array.from(rows));
  };
  const levels = lower.map((l) => ({ ...l, firstColumn: 0 }));
  const pyramid = new Pyramid(levels, folder, { seen });
  const file = await open(/* turbopackIgnore: true */ middle, 'r');
  const band = Buffer.allocUnsafeSlow(BAND * width * 3);
  try {
    for (let top = 0; top < height; top += BAND) {
      const rows = band.subarray(0, Math.min(BAND, height - top) * width * 3);
      await file.read(rows, 0, rows.length, top * width * 3);
      await pyramid.put(rows);
      progress('cutting tiles', Math.min(1, (top + BAND) / height));
    }
    await pyramid.finish();
  } finally {
    await file.close();
  }
  await mkdir(dirname(work.preview), { recursive: true });
  const part = join(work.scratch, 'preview.jpg');
  await jpeg(Buffer.concat(previewRows), preview.width, preview.height).toFile(part);
  await rename(part, work.preview);
  await rm(work.tilesFolder, { recursive: true, force: true });
  await rename(folder, work.tilesFolder);
}
