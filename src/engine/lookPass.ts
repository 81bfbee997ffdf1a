import sharp from 'sharp';
import {
  axisWeights,
  intoSixteenBits,
  resampleAcross,
  weighedSum,
  zoomLevels,
} from '@/core/image';
import type { PixelRect } from '@/core/prepare';
import { rowConverter } from './masterColour';
import type { MasterColour, RowConverter } from './masterColour';
import { PixelSource } from './pixelSource';
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
const REACH = 3;

/** Where an output window takes its samples from: the whole grid's axis, but only that part of it. */
interface Axis {
  /** Start and length of the source under the window, in source pixels (fractional). */
  from: number;
  span: number;
  length: number;
}

const axis = (
  from: number,
  span: number,
  whole: number,
  at: number,
  length: number,
): Axis => ({
  from: from + (span / whole) * at,
  span: (span / whole) * length,
  length,
});

/** Whole source pixels that a kernel over an axis reaches, within the source. */
function reached({ from, span, length }: Axis, source: number) {
  const reach = Math.ceil(REACH * Math.max(1, span / length)) + 1;
  const low = Math.max(0, Math.floor(from) - reach);
  const high = Math.min(source, Math.ceil(from + span) + reach);
  return { low, high: Math.max(low + 1, high) };
}

/** Resamples a grid of which `left`, `top` is where it lies in its source. */
function resample(
  grid: Grid,
  at: { left: number; top: number },
  across: Axis,
  down: Axis,
): Grid & { data: Float32Array } {
  const { channels, width, height } = grid;
  const weights = (source: number, { from, span, length }: Axis, low: number) =>
    axisWeights({ kernel: 'lanczos3', source, from: from - low, span, out: length });
  const h = weights(width, across, at.left);
  const v = weights(height, down, at.top);
  const samples = width * channels;
  const row = across.length * channels;
  const wide = Array.from({ length: height }, (_, y) => {
    const out = new Float32Array(row);
    resampleAcross(grid.data.subarray(y * samples, (y + 1) * samples), channels, h, out);
    return out;
  });
  const data = new Float32Array(row * down.length);
  for (let y = 0; y < down.length; y += 1) {
    const first = v.first[y]!;
    const under = wide.slice(first, first + v.taps);
    weighedSum(under, v.weights, y * v.taps, data.subarray(y * row, (y + 1) * row));
  }
  return { data, width: across.length, height: down.length, channels };
}

type Region = { left: number; top: number; right: number; bottom: number };

/** Pixels of the full-resolution master. */
function fullRegion(source: PixelSource, { left, top, right, bottom }: Region): Grid {
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
  { left, top, right, bottom }: Region,
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
async function levelRegion(folder: string, level: number, region: Region): Promise<Grid> {
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

let kept: { key: string; converter: Promise<RowConverter> } | undefined;

/** The converter to the screen, kept for the next window of the same picture. */
function screenConverter(key: string, colour: MasterColour, channels: 1 | 3) {
  if (kept?.key === key) return kept.converter;
  void kept?.converter.then((c) => c.close());
  const converter = rowConverter(colour, channels, 'srgb', {
    intent: 'relative',
    blackPoint: true,
    exact: true,
  });
  kept = { key, converter };
  return converter;
}

async function onScreen(
  grid: Grid & { data: Float32Array },
  work: LookWork,
  level: boolean,
): Promise<Uint8Array> {
  const pixels = grid.width * grid.height;
  const out = new Uint8Array(pixels * 3);
  if (level) {
    for (let i = 0; i < out.length; i += 1)
      out[i] = Math.max(0, Math.min(255, Math.round(grid.data[i]! / 257)));
    return out;
  }
  const deep = new Uint16Array(grid.data.length);
  intoSixteenBits(grid.data, deep, 0);
  const converter = await screenConverter(
    work.pixels,
    work.colour,
    grid.channels === 1 ? 1 : 3,
  );
  converter.toScreen(deep, pixels, out);
  return out;
}

/**
 * A window of a print, PNG in sRGB: the master's pixels resampled to the print's with the
 * kernel of the print file, and these to the screen's. Where the screen shows the print so
 * small that its own pixels are not seen, straight to the screen's; where it takes the
 * picture at less than half its pixels, from its halved levels. Only the pixels under the
 * window are read.
 */
export async function lookAt(work: LookWork): Promise<Uint8Array> {
  const { part, print, screen, window } = work;
  const source = await PixelSource.open(work.pixels);
  try {
    const step = print.width / screen.width;
    const seen = step <= GRID_UNSEEN;
    const across = {
      whole: seen ? print.width : screen.width,
      at: window.left,
      length: window.width,
    };
    const down = {
      whole: seen ? print.height : screen.height,
      at: window.top,
      length: window.height,
    };
    const toScreen = {
      across: axis(0, print.width, screen.width, window.left, window.width),
      down: axis(0, print.height, screen.height, window.top, window.height),
    };
    if (seen) {
      const x = reached(toScreen.across, print.width);
      const y = reached(toScreen.down, print.height);
      Object.assign(across, { at: x.low, length: x.high - x.low });
      Object.assign(down, { at: y.low, length: y.high - y.low });
    }
    const reduced = part.width / across.whole;
    const halvings = Math.max(0, Math.floor(Math.log2(reduced / 2)));
    const level = zoomLevels(source.width, source.height, TILE)[halvings]!;
    const scale = halvings === 0 ? 1 : 2 ** halvings;
    const h = axis(
      part.left / scale,
      part.width / scale,
      across.whole,
      across.at,
      across.length,
    );
    const v = axis(part.top / scale, part.height / scale, down.whole, down.at, down.length);
    const x = reached(h, level.width);
    const y = reached(v, level.height);
    const region = { left: x.low, right: x.high, top: y.low, bottom: y.high };
    const grid =
      halvings === 0
        ? fullRegion(source, region)
        : await levelRegion(work.tilesFolder, level.level, region);
    const printed = resample(grid, region, h, v);
    const shown = seen
      ? resample(printed, { left: across.at, top: down.at }, toScreen.across, toScreen.down)
      : printed;
    const pixels = await onScreen(shown, work, halvings > 0);
    return await sharp(pixels, {
      raw: { width: shown.width, height: shown.height, channels: 3 },
    })
      .png({ compressionLevel: 1 })
      .toBuffer();
  } finally {
    await source.close();
  }
}
