import { rm } from 'node:fs/promises';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { rowConverter } from './masterColour';
import type { MasterColour } from './masterColour';
import { PixelSource } from './pixelSource';
import { resampledRows } from './resampler';
import { sharpenedRows } from './sharpener';
import type { Progress } from './tilesPass';
import { TiffWriter } from './tiffWriter';

const BAND = 32;

/**
 * Writes a print file in one streaming pass: resample (float), sharpen for output (float),
 * convert with Little CMS (16 bit), round to 8 bit, border of paper white. Nothing of the
 * file is left when it fails.
 */
export async function printFilePass(
  pixelsPath: string,
  colour: MasterColour,
  plan: PrintPlan,
  recipe: Recipe,
  target: string,
  progress: Progress,
): Promise<void> {
  const source = await PixelSource.open(pixelsPath);
  const converter = await rowConverter(colour, source.channels, recipe.convert.space, {
    ...recipe.convert,
    exact: true,
  });
  const { image, width, height } = plan;
  const writer = await TiffWriter.create(target, {
    width,
    height,
    channels: 3,
    bits: 8,
    ppi: recipe.ppi,
    icc: iccProfile(RGB_SPACES[recipe.convert.space]),
  });
  const white = async (rows: number) => {
    const line = new Uint8Array(width * 3).fill(255);
    for (let y = 0; y < rows; y += 1) await writer.write(line, 1);
  };
  try {
    await white(image.top);
    const resampled = resampledRows(source, plan.source, image.width, image.height);
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
        for (let i = 0; i < image.width * 3; i += 1)
          lines[to + i] = (deep[from + i]! * 255 + 32767) / 65535;
      }
      await writer.write(lines, waiting);
      done += waiting;
      waiting = 0;
      progress('resizing, sharpening, converting', done / image.height);
    };
    for await (const row of rows) {
      const at = waiting * samples;
      for (let i = 0; i < samples; i += 1) {
        const v = row[i]!;
        band[at + i] = v <= 0 ? 0 : v >= 65535 ? 65535 : v + 0.5;
      }
      waiting += 1;
      if (waiting === BAND) await flush();
    }
    if (waiting > 0) await flush();
    await white(height - image.top - image.height);
    await writer.finish();
  } catch (error) {
    await writer.abandon().catch(() => undefined);
    await rm(target, { force: true });
    throw error;
  } finally {
    converter.close();
    await source.close();
  }
}
