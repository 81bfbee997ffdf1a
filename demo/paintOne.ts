import { writeFile } from 'node:fs/promises';
import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { createTransform } from '@/engine/colourEngine';
import { createTiff } from '@/engine/tiffWriter';
import type { Canvas } from './paint/canvas';
import { originalOf } from './originals';

const narrow = (pixels: Uint16Array): Uint8Array => {
  const flat = new Uint8Array(pixels.length);
  for (let i = 0; i < flat.length; i += 1) flat[i] = pixels[i]! / 257;
  return flat;
};

async function writeTiff(
  canvas: Canvas,
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
          3,
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

/** Paints one original and writes it as its scan or photograph would come. */
async function main([name = '', path = '']: string[]) {
  const original = originalOf(name);
  const canvas = original.paint(original.width, original.height);
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
