import { writeFile } from 'node:fs/promises';
import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { createTransform } from '@/engine/colour/colourEngine';
import { createTiff } from '@/engine/tiff/tiffWriter';
import { enlarged } from '../bench/enlarge';
import { plantSpecks } from './capture/dust';
import { layOnBed } from './capture/bed';
import type { Canvas } from '@/engine/painted/canvas';
import { originalOf } from './originals';
import type { Original } from './originals';

const narrow = (pixels: Uint16Array): Uint8Array => {
  const flat = new Uint8Array(pixels.length);
  for (let i = 0; i < flat.length; i += 1) flat[i] = pixels[i]! / 257;
  return flat;
};

async function writeTiff(
  canvas: Pick<Canvas, 'width' | 'height' | 'pixels'>,
  path: string,
  bits: 8 | 16,
  ppi: number,
  space: SpaceId | null,
) {
  const { width, height, pixels } = canvas;
  const icc = space && iccProfile(RGB_SPACES[space]);
  const writer = await createTiff(path, {
    width,
    height,
    channels: 3,
    bits,
    ppi,
    icc,
  });
  // The paint box is sRGB; the capture lands in the space its file is tagged with.
  const convert =
    space && space !== 'srgb'
      ? await createTransform(
          iccProfile(RGB_SPACES.srgb),
          iccProfile(RGB_SPACES[space]),
          { from: 3, to: 3 },
          {
            intent: 'relative',
            blackPoint: true,
            exact: false,
          },
        )
      : null;
  const row = width * 3;
  const band = 64;
  for (let y = 0; y < height; y += band) {
    const rows = Math.min(band, height - y);
    const part = pixels.subarray(y * row, (y + rows) * row);
    convert?.convert(part, part, rows * width);
    await writer.write(bits === 16 ? part : narrow(part));
  }
  await writer.finish();
}

const SEED = 20;

/** The original as its scanner saw it. */
function captured(
  { width, height, pixels }: Pick<Canvas, 'width' | 'height' | 'pixels'>,
  { dust, bed }: NonNullable<Original['capture']>,
): Pick<Canvas, 'width' | 'height' | 'pixels'> {
  const flat = { width, height, data: pixels };
  const seen = bed ? layOnBed(flat, bed.pixels, bed.degrees) : flat;
  if (dust) plantSpecks(seen, dust, SEED);
  return { width: seen.width, height: seen.height, pixels: seen.data };
}

/** The original in paint at its file's size; or smaller, and enlarged as someone has done since. */
function paintedAt({ paint, width, height }: Original, factor: number) {
  if (factor === 1) return paint(width, height);
  const canvas = paint(Math.round(width / factor), Math.round(height / factor));
  const base = { width: canvas.width, height: canvas.height, data: canvas.pixels };
  const { data, ...size } = enlarged(base, factor, 'bicubic');
  return { ...size, pixels: data };
}

/** Paints one original and writes it as its scan or photograph would come. */
async function main([name = '', path = '']: string[]) {
  const original = originalOf(name);
  const painted = paintedAt(original, original.capture?.enlarged ?? 1);
  const canvas = captured(painted, original.capture ?? {});
  if (original.file.endsWith('.jpg')) {
    const jpeg = await sharp(narrow(canvas.pixels), {
      raw: { width: canvas.width, height: canvas.height, channels: 3 },
    })
      .withIccProfile('srgb')
      .withDensity(72)
      .jpeg({ quality: 88 })
      .toBuffer();
    await writeFile(path, jpeg);
  } else await writeTiff(canvas, path, original.bits, original.ppi, original.space);
}

await main(process.argv.slice(2));
