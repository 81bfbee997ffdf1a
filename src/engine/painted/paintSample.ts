import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { Progress } from '../progress';
import { createTiff } from '../tiff/tiffWriter';
import { moonOverMere } from './moonOverMere';

/** Rows written at once. */
const BAND = 64;

export interface PaintWork {
  target: string;
  /** Pixels. */
  width: number;
  height: number;
  ppi: number;
}

/** Paints an original and writes its scan: a TIFF, sRGB, 16 bits. */
export async function paintSample(work: PaintWork, progress: Progress): Promise<void> {
  const { target, width, height, ppi } = work;
  progress('painting', 0);
  const { pixels } = moonOverMere(width, height);
  const icc = iccProfile(RGB_SPACES.srgb);
  const writer = await createTiff(target, {
    width,
    height,
    channels: 3,
    bits: 16,
    ppi,
    icc,
  });
  const row = width * 3;
  for (let y = 0; y < height; y += BAND) {
    const rows = Math.min(BAND, height - y);
    await writer.write(pixels.subarray(y * row, (y + rows) * row));
    progress('painting', 0.5 + (0.5 * y) / height);
  }
  await writer.finish();
}
