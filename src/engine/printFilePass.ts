import { RGB_SPACES, iccProfile } from '@/core/colour';
import { gaussian } from '@/core/image';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { rowConverter } from './masterColour';
import type { MasterColour } from './masterColour';
import { PixelSource } from './pixelSource';
import { resampledRows } from './resampler';
import { intoEightBits, intoSixteenBits } from './rowMath';
import type { RowRange } from './resampler';
import { sharpenedRows } from './sharpener';
import { TiffRows, layOutTiff } from './tiffWriter';
import type { TiffLayout } from './tiffWriter';
import type { Progress } from './progress';

const BAND = 32;
/** Rows of white written at once. */
const WHITE_ROWS = 256;

/** What a print file is made from and by. */
export interface PrintFileWork {
  pixels: string;
  colour: MasterColour;
  plan: PrintPlan;
  recipe: Recipe;
  target: string;
}

const layoutOf = ({ plan, recipe }: PrintFileWork): TiffLayout => ({
  width: plan.width,
  height: plan.height,
  channels: 3,
  bits: 8,
  ppi: recipe.ppi,
  icc: iccProfile(RGB_SPACES[recipe.convert.space]),
});

/** Lays the file out; its rows are then filled by one or more `printFileRows`. */
export const layOutPrintFile = (work: PrintFileWork): Promise<void> =>
  layOutTiff(work.target, layoutOf(work));

/** The picture's rows under a range of the sheet's rows, counted from the picture's top. */
const ofPicture = ({ image }: PrintPlan, { from, to }: RowRange): RowRange => {
  const within = (row: number) => Math.min(image.height, Math.max(0, row - image.top));
  return { from: within(from), to: within(to) };
};

/**
 * Fills rows of a laid out print file in one streaming pass: resample (float), sharpen for
 * output (float), convert (16 bit), round to 8 bit, border of paper white. The result does
 * not depend on how the sheet was divided into ranges.
 */
export async function printFileRows(
  work: PrintFileWork,
  range: RowRange,
  progress: Progress,
): Promise<void> {
  const { plan, recipe, target } = work;
  const { image, width } = plan;
  const wanted = ofPicture(plan, range);
  const source = await PixelSource.open(work.pixels);
  const converter = await rowConverter(work.colour, source.channels, recipe.convert.space, {
    ...recipe.convert,
    exact: true,
  });
  const file = await TiffRows.open(target, layoutOf(work), range.from, range.to);
  const white = async (rows: number) => {
    const lines = new Uint8Array(width * 3 * Math.min(rows, WHITE_ROWS)).fill(255);
    for (let left = rows; left > 0; left -= WHITE_ROWS)
      await file.write(lines.subarray(0, width * 3 * Math.min(left, WHITE_ROWS)));
  };
  try {
    const before = Math.min(range.to, image.top) - range.from;
    if (before > 0) await white(before);
    const { amount, radius } = recipe.outputSharpen;
    const reach = amount === 0 ? 0 : (gaussian(radius).length - 1) / 2;
    const fed = {
      from: Math.max(0, wanted.from - reach),
      to: Math.min(image.height, wanted.to + reach),
    };
    const resampled = resampledRows(source, plan.source, image.width, image.height, fed);
    const rows = sharpenedRows(resampled, source.channels, recipe.outputSharpen);
    const samples = image.width * source.channels;
    const band = new Uint16Array(samples * BAND);
    let waiting = 0;
    let done = 0;
    const flush = async () => {
      const pixels = waiting * image.width;
      const deep = converter.toTarget(band, pixels);
      const lines = new Uint8Array(waiting * width * 3).fill(255);
      for (let y = 0; y < waiting; y += 1) {
        const from = y * image.width * 3;
        const to = (y * width + image.left) * 3;
        intoEightBits(deep, from, image.width * 3, lines, to);
      }
      await file.write(lines);
      done += waiting;
      waiting = 0;
      progress('resizing, sharpening, converting', done / (wanted.to - wanted.from));
    };
    let y = fed.from;
    if (wanted.to > wanted.from)
      for await (const row of rows) {
        const own = y >= wanted.from;
        y += 1;
        if (!own) continue;
        intoSixteenBits(row, band, waiting * samples);
        waiting += 1;
        if (waiting === BAND || y === wanted.to) await flush();
        if (y === wanted.to) break;
      }
    const after = range.to - Math.max(range.from, image.top + image.height);
    if (after > 0) await white(after);
    await file.finish();
  } catch (error) {
    await file.abandon().catch(() => undefined);
    throw error;
  } finally {
    converter.close();
    await source.close();
  }
}
