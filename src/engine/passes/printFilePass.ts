import { chain, eightBits } from '@/core/image';
import type { Box } from '@/core/image';
import { ppiOf } from '@/core/prepare';
import type { PixelRect, PrintPlan, Recipe } from '@/core/prepare';
import type { MasterColour } from '../colour/masterColour';
import { PixelSource } from '../decode/pixelSource';
import type { PrintTarget } from '../colour/printTarget';
import type { Progress } from '../progress';
import { waysOf } from './recipeWays';
import type { RowRange } from '../rowRange';
import { TiffStrips } from '../tiff/tiffStrips';
import { TiffRows, layOutTiff } from '../tiff/tiffWriter';
import type { FileAbout, RowSink, TiffLayout } from '../tiff/tiffWriter';

/** Rows converted at once: few enough to stay near the processor, however wide they are. */
const BAND = 8;
/** Rows of white written at once, and rows of the master read at once. */
const WHITE_ROWS = 256;
const READ_ROWS = 32;

/** What a print file is made from and by. */
export interface PrintFileWork {
  pixels: string;
  colour: MasterColour;
  plan: PrintPlan;
  recipe: Recipe;
  into: PrintTarget;
  about: FileAbout;
  /** The file that is written. */
  target: string;
}

/** What a part of its picture is made from and by. */
export type PictureWork = Omit<PrintFileWork, 'target' | 'about'>;

export const layoutOf = ({ plan, recipe, into, about }: PrintFileWork): TiffLayout => ({
  width: plan.width,
  height: plan.height,
  channels: into.channels,
  bits: recipe.file.bits,
  ppi: ppiOf(recipe),
  icc: into.icc,
  compression: recipe.file.format === 'tiff' ? recipe.file.compression : 'none',
  about,
});

/** Whether rows are compressed by their ranges and joined at the end. */
export const inStrips = (work: PrintFileWork): boolean =>
  layoutOf(work).compression !== 'none';

/** Lays the file out; its rows are then filled by one or more `printFileRows`. */
export const layOutPrintFile = async (work: PrintFileWork): Promise<void> => {
  if (!inStrips(work)) await layOutTiff(work.target, layoutOf(work));
};

const sinkFor = (work: PrintFileWork, { from, to }: RowRange): Promise<RowSink> =>
  inStrips(work)
    ? TiffStrips.open(work.target, layoutOf(work), from, to)
    : TiffRows.open(work.target, layoutOf(work), from, to);

/** The picture's rows under a range of the sheet's rows, counted from the picture's top. */
const ofPicture = ({ image }: PrintPlan, { from, to }: RowRange): RowRange => {
  const within = (row: number) => Math.min(image.height, Math.max(0, row - image.top));
  return { from: within(from), to: within(to) };
};

/** Rows of a sheet: paper white, marks in black. */
class SheetRows {
  private readonly whole: number;
  private readonly cmyk: boolean;

  constructor(
    private readonly width: number,
    private readonly channels: number,
    private readonly bits: 8 | 16,
    private readonly marks: readonly PixelRect[],
  ) {
    this.whole = bits === 8 ? 255 : 65535;
    this.cmyk = channels === 4;
  }

  /** So many rows of white, `top` being the first of them on the sheet. */
  white(top: number, rows: number): Uint8Array | Uint16Array {
    const samples = this.width * this.channels * rows;
    const lines = this.bits === 8 ? new Uint8Array(samples) : new Uint16Array(samples);
    if (!this.cmyk) lines.fill(this.whole);
    for (const mark of this.marks)
      for (
        let y = Math.max(top, mark.top);
        y < Math.min(top + rows, mark.top + mark.height);
        y += 1
      )
        for (let x = Math.max(0, mark.left); x < mark.left + mark.width; x += 1)
          this.blacken(lines, ((y - top) * this.width + x) * this.channels);
    return lines;
  }

  private blacken(lines: Uint8Array | Uint16Array, at: number): void {
    if (this.cmyk) lines[at + 3] = this.whole;
    else lines.fill(0, at, at + this.channels);
  }
}

/**
 * Makes part of the picture of a print, row by row: the recipe's steps (float), then the
 * target's colours (16 bit). `take` gets some rows at a time, `top` being the first of them.
 * Memory: the rows at hand.
 */
export async function pictureRows(
  work: PictureWork,
  box: Box,
  take: (deep: Uint16Array, rows: number, top: number) => Promise<void>,
): Promise<void> {
  const source = await PixelSource.open(work.pixels);
  const { channels } = source;
  const shape = { width: source.width, height: source.height, channels };
  const ways = await waysOf(work, shape, channels);
  const { steps, before, out } = ways;
  try {
    const wide = box.right - box.left;
    const samples = wide * steps.at(-1)!.out.channels;
    let band = new Float32Array(samples * BAND);
    let waiting = 0;
    let top = box.top;
    const { fed, take: feed } = chain(steps, box, (row) => {
      // Many rows may come at once at an edge, or when the picture is enlarged much.
      if (band.length < samples * (waiting + 1)) {
        const larger = new Float32Array(band.length * 2);
        larger.set(band);
        band = larger;
      }
      band.set(row, waiting * samples);
      waiting += 1;
    });
    const flush = async () => {
      const rows = waiting;
      const deep = out(band.subarray(0, samples * rows), wide * rows);
      waiting = 0;
      await take(deep, rows, top);
      top += rows;
    };
    const across = (fed.right - fed.left) * channels;
    const row = new Float32Array(across);
    for (let y0 = fed.top; y0 < fed.bottom; y0 += READ_ROWS) {
      const rows = Math.min(READ_ROWS, fed.bottom - y0);
      const part = source.part(y0, rows, fed);
      const read = before?.(part, (fed.right - fed.left) * rows) ?? part;
      for (let y = 0; y < rows; y += 1) {
        row.set(read.subarray(y * across, (y + 1) * across));
        feed(row);
        if (waiting >= BAND) await flush();
      }
    }
    if (waiting > 0) await flush();
  } finally {
    ways.close();
    await source.close();
  }
}

/**
 * Fills rows of a laid out print file in one streaming pass: the picture by its recipe, and
 * paper white around it. The result does not depend on how the sheet was divided into
 * ranges. Answers the bytes of each strip where they are compressed.
 */
export async function printFileRows(
  work: PrintFileWork,
  range: RowRange,
  progress: Progress,
): Promise<number[]> {
  const { plan, recipe, into } = work;
  const { image, width } = plan;
  const { bits, dither } = recipe.file;
  const { channels } = into;
  const wanted = ofPicture(plan, range);
  const sheet = new SheetRows(width, channels, bits, plan.marks ?? []);
  const file = await sinkFor(work, range);
  let at = range.from;
  const white = async (end: number) => {
    while (at < end) {
      const rows = Math.min(WHITE_ROWS, end - at);
      await file.write(sheet.white(at, rows));
      at += rows;
    }
  };
  try {
    await white(Math.min(range.to, image.top));
    const box = { left: 0, right: image.width, top: wanted.from, bottom: wanted.to };
    const line = image.width * channels;
    if (wanted.to > wanted.from)
      await pictureRows(work, box, async (deep, rows, top) => {
        const lines = sheet.white(at, rows);
        for (let y = 0; y < rows; y += 1) {
          const to = (y * width + image.left) * channels;
          if (lines instanceof Uint8Array) {
            const place = { left: 0, top: top + y, channels };
            eightBits(dither, deep, y * line, line, lines, to, place);
          } else lines.set(deep.subarray(y * line, (y + 1) * line), to);
        }
        await file.write(lines);
        at += rows;
        progress(
          'resizing, sharpening, converting',
          (at - image.top - wanted.from) / (wanted.to - wanted.from),
        );
      });
    await white(range.to);
    return await file.finish();
  } catch (error) {
    await file.abandon().catch(() => undefined);
    throw error;
  }
}
