import sharp from 'sharp';
import {
  chain,
  inWorking,
  intoEightBits,
  intoWorking,
  resample,
  zoomLevels,
} from '@/core/image';
import type { Box, Resampling, Shape } from '@/core/image';
import { DEFAULT_KERNEL } from '@/core/prepare';
import type { PixelRect } from '@/core/prepare';
import type { MasterColour } from '../colour/masterColour';
import { spaceTarget } from '../colour/printTarget';
import { wayIn, wayOut } from '../colour/workingColour';
import type { WayIn, WayOut } from '../colour/workingColour';
import { PixelSource } from '../decode/pixelSource';
import { TILE } from './pyramid';
import { join } from 'node:path';

/** A window of a print as a screen shows it: what is printed, how large, and which part is wanted. */
export interface LookWork {
  pixels: string;
  tilesFolder: string;
  colour: MasterColour;
  /** Part of the picture that is printed, in its pixels (fractional). */
  part: PixelRect;
  /** Pixels of the print, and of the screen that it covers. */
  print: { width: number; height: number };
  screen: { width: number; height: number };
  /** The window, in pixels of the screen. */
  window: PixelRect;
}

/** Rows of interleaved samples, 16 bit or float. */
interface Grid {
  data: Uint16Array | Float32Array;
  width: number;
  height: number;
  channels: number;
}

/** Print pixels under a pixel of the screen from which on the print's own grid is not seen. */
const GRID_UNSEEN = 2;
/** Pixels of the full-resolution master. */
function fullRegion(source: PixelSource, { left, top, right, bottom }: Box): Grid {
  const samples = source.part(top, bottom - top, { left, right });
  return {
    data: samples.subarray(0, (right - left) * (bottom - top) * source.channels),
    width: right - left,
    height: bottom - top,
    channels: source.channels,
  };
}

/** What a tile holds of a region, as 16-bit values into the region's samples. */
function copyTile(
  tile: { data: Uint8Array; width: number; height: number },
  at: { left: number; top: number },
  { left, top, right, bottom }: Box,
  out: Float32Array,
): void {
  const width = right - left;
  const x0 = Math.max(left, at.left);
  const x1 = Math.min(right, at.left + tile.width);
  const y1 = Math.min(bottom, at.top + tile.height);
  for (let y = Math.max(top, at.top); y < y1; y += 1) {
    let from = ((y - at.top) * tile.width + x0 - at.left) * 3;
    let to = ((y - top) * width + x0 - left) * 3;
    for (const end = to + (x1 - x0) * 3; to < end; to += 1, from += 1)
      out[to] = tile.data[from]! * 257;
  }
}

/** Pixels of a halved level, out of its tiles; in the screen's colours. */
async function levelRegion(folder: string, level: number, region: Box): Promise<Grid> {
  const { left, top, right, bottom } = region;
  const width = right - left;
  const data = new Float32Array(width * (bottom - top) * 3);
  const jobs: Promise<void>[] = [];
  const place = async (column: number, row: number) => {
    const file = join(
      /*turbopackIgnore: true*/ folder,
      String(level),
      `${column}_${row}.jpg`,
    );
    const tile = await sharp(file)
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    copyTile(
      { data: tile.data, width: tile.info.width, height: tile.info.height },
      { left: column * TILE, top: row * TILE },
      region,
      data,
    );
  };
  for (let row = Math.floor(top / TILE); row * TILE < bottom; row += 1)
    for (let column = Math.floor(left / TILE); column * TILE < right; column += 1)
      jobs.push(place(column, row));
  await Promise.all(jobs);
  return { data, width, height: bottom - top, channels: 3 };
}

const SRGB = spaceTarget('srgb');
const BY = { intent: 'relative', blackPoint: true } as const;
/** What the halved levels are in: the screen's own colours. */
const SCREEN: MasterColour = { icc: null, assumedSpace: 'srgb' };

interface Ways {
  in: WayIn;
  out: WayOut;
}

let kept: { key: string; ways: Promise<Ways> } | undefined;

/** The ways into the working space and to the screen, kept for the next window of the same picture. */
function screenWays(key: string, colour: MasterColour, channels: 1 | 3): Promise<Ways> {
  if (kept?.key === key) return kept.ways;
  void kept?.ways.then((w) => {
    w.in.close();
    w.out.close();
  });
  const ways = Promise.all([wayIn(colour, channels, BY), wayOut(colour, SRGB, BY)]).then(
    ([into, out]) => ({ in: into, out }),
  );
  kept = { key, ways };
  return ways;
}

/**
 * A window of a print, PNG in sRGB: the master's pixels resampled to the print's by the step
 * of the print file, and these to the screen's. Where the screen shows the print so small that
 * its own pixels are not seen, straight to the screen's; where it takes the picture at less
 * than half its pixels, from its halved levels. Only the pixels under the window are read.
 */
export async function lookAt(work: LookWork): Promise<Uint8Array> {
  const { part, print, screen, window } = work;
  const source = await PixelSource.open(work.pixels);
  try {
    const seen = print.width / screen.width <= GRID_UNSEEN;
    const first = seen ? print : screen;
    const halvings = Math.max(0, Math.floor(Math.log2(part.width / first.width / 2)));
    const level = zoomLevels(source.width, source.height, TILE)[halvings]!;
    const scale = 2 ** halvings;
    const channels = halvings === 0 ? source.channels : 3;
    const kernel = DEFAULT_KERNEL;
    const shape = { width: level.width, height: level.height, channels };
    const taken = {
      left: part.left / scale,
      top: part.top / scale,
      width: part.width / scale,
      height: part.height / scale,
    };
    const colour = halvings === 0 ? work.colour : SCREEN;
    const ways = await screenWays(`${work.pixels} ${halvings === 0}`, colour, channels);
    const entered = intoWorking(shape, ways.in.door, channels);
    const resized = (from: Shape, by: Omit<Resampling, 'kernel'>) => ({
      rows: resample(from, { kernel, ...by }),
      light: by.part.width > by.width,
    });
    const made = resized(entered.out, { part: taken, ...first });
    const whole = { left: 0, top: 0, ...print };
    const resizing = seen
      ? [made, resized(made.rows.out, { part: whole, ...screen })]
      : [made];
    const steps = [entered, ...inWorking(entered.out, resizing).map((s) => s.rows)];
    const { left, top, width, height } = window;
    const box = { left, top, right: left + width, bottom: top + height };
    const data = new Float32Array(width * height * channels);
    let at = 0;
    const { fed, take } = chain(steps, box, (row) => {
      data.set(row, at);
      at += row.length;
    });
    const grid =
      halvings === 0
        ? fullRegion(source, fed)
        : await levelRegion(work.tilesFolder, level.level, fed);
    const samples = grid.width * channels;
    const row = new Float32Array(samples);
    const { before } = ways.in;
    const read =
      before?.(Uint16Array.from(grid.data), grid.width * grid.height) ?? grid.data;
    for (let y = 0; y < grid.height; y += 1) {
      row.set(read.subarray(y * samples, (y + 1) * samples));
      take(row);
    }
    const deep = ways.out.toTarget(data, channels, width * height);
    const pixels = new Uint8Array(deep.length);
    intoEightBits(deep, 0, deep.length, pixels, 0);
    return await sharp(pixels, { raw: { width, height, channels: 3 } })
      .png({ compressionLevel: 1 })
      .toBuffer();
  } finally {
    await source.close();
  }
}
