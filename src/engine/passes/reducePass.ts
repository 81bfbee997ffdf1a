import { open } from 'node:fs/promises';
import { carriedLight } from '@/core/colour';
import { chain, intoSixteenBits, intoWorking, resample } from '@/core/image';
import { DEFAULT_KERNEL } from '@/core/prepare';
import type { Conversion, PixelRect } from '@/core/prepare';
import type { MasterColour } from '../colour/masterColour';
import { wayIn } from '../colour/workingColour';
import { HEADER_BYTES, PixelSource, deepHeader } from '../decode/pixelSource';
import type { Progress } from '../progress';

const READ_ROWS = 32;

export interface ReduceWork {
  pixels: string;
  part: PixelRect;
  width: number;
  height: number;
  target: string;
  /** For recipes in the working space; null: for recipes in the picture's own numbers. */
  into: { colour: MasterColour; convert: Pick<Conversion, 'intent' | 'blackPoint'> } | null;
}

/**
 * Writes a smaller working copy of a part of a picture: in its own encoded values, or mixed as
 * light and kept as 16-bit values of the working space (`carried`).
 */
export async function reducePicture(work: ReduceWork, progress: Progress): Promise<void> {
  const { part, width, height, target, into } = work;
  const source = await PixelSource.open(work.pixels);
  const file = await open(target, 'w');
  try {
    const { channels } = source;
    const shape = { width: source.width, height: source.height, channels };
    const way = into && (await wayIn(into.colour, channels, into.convert));
    const step = resample(shape, { kernel: DEFAULT_KERNEL, part, width, height });
    const steps = way ? [intoWorking(shape, way.door, channels), step] : [step];
    const made: Uint16Array[] = [];
    const box = { left: 0, top: 0, right: width, bottom: height };
    const { fed, take } = chain(steps, box, (row) => {
      const deep = new Uint16Array(row.length);
      if (way) carriedLight(row, deep);
      else intoSixteenBits(row, deep, 0);
      made.push(deep);
    });
    await file.write(deepHeader(width, height, channels), 0, HEADER_BYTES, 0);
    let at = HEADER_BYTES;
    const across = (fed.right - fed.left) * channels;
    const row = new Float32Array(across);
    for (let top = fed.top; top < fed.bottom; top += READ_ROWS) {
      const rows = Math.min(READ_ROWS, fed.bottom - top);
      const own = source.part(top, rows, fed);
      const read = way?.before?.(own, (fed.right - fed.left) * rows) ?? own;
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
    way?.close();
  } finally {
    await Promise.all([file.close(), source.close()]);
  }
}
