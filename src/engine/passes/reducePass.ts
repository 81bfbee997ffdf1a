import { open } from 'node:fs/promises';
import { chain, intoSixteenBits, resample } from '@/core/image';
import { DEFAULT_KERNEL } from '@/core/prepare';
import type { PixelRect } from '@/core/prepare';
import { HEADER_BYTES, PixelSource, deepHeader } from '../decode/pixelSource';
import type { Progress } from '../progress';

const READ_ROWS = 32;

/** Writes a smaller working copy of a part of a picture, in its own colours. */
export async function reducePicture(
  work: { pixels: string; part: PixelRect; width: number; height: number; target: string },
  progress: Progress,
): Promise<void> {
  const { part, width, height, target } = work;
  const source = await PixelSource.open(work.pixels);
  const file = await open(target, 'w');
  try {
    const { channels } = source;
    const shape = { width: source.width, height: source.height, channels };
    const step = resample(shape, { kernel: DEFAULT_KERNEL, part, width, height });
    const made: Uint16Array[] = [];
    const box = { left: 0, top: 0, right: width, bottom: height };
    const { fed, take } = chain([step], box, (row) => {
      const deep = new Uint16Array(row.length);
      intoSixteenBits(row, deep, 0);
      made.push(deep);
    });
    await file.write(deepHeader(width, height, channels), 0, HEADER_BYTES, 0);
    let at = HEADER_BYTES;
    const across = (fed.right - fed.left) * channels;
    const row = new Float32Array(across);
    for (let top = fed.top; top < fed.bottom; top += READ_ROWS) {
      const rows = Math.min(READ_ROWS, fed.bottom - top);
      const read = source.part(top, rows, fed);
      for (let y = 0; y < rows; y += 1) {
        row.set(read.subarray(y * across, (y + 1) * across));
        take(row);
      }
      for (const deep of made.splice(0)) {
        const bytes = Buffer.from(deep.buffer);
        await file.write(bytes, 0, bytes.length, at);
        at += bytes.length;
      }
      progress('reducing the picture', (top + rows - fed.top) / (fed.bottom - fed.top));
    }
  } finally {
    await Promise.all([file.close(), source.close()]);
  }
}
