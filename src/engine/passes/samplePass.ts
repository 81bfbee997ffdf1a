import { PixelSource } from '../decode/pixelSource';

/** Pixels of a picture taken evenly: one of each square of `stride`, at a place that wanders. */
export interface Sample {
  samples: Uint16Array;
  channels: 1 | 3;
  width: number;
  height: number;
  stride: number;
}

/** Pixels up to which a picture is taken whole. */
export const SAMPLE_PIXELS = 2_000_000;

/** A place within a square, the same every time, that no pattern of a picture keeps step with. */
const wander = (x: number, y: number, stride: number): number => {
  let h = Math.imul(x, 0x85ebca6b) ^ Math.imul(y, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 15), 0x27d4eb2f);
  return ((h ^ (h >>> 13)) >>> 0) % stride;
};

/**
 * Reads a picture's own pixels, all of them up to `most`, else evenly spread ones: of each
 * square one, of one row of each band of rows. Memory: what is taken, and a row.
 */
export async function samplePicture(pixels: string, most = SAMPLE_PIXELS): Promise<Sample> {
  const source = await PixelSource.open(pixels);
  try {
    const { channels } = source;
    const stride = Math.max(1, Math.ceil(Math.sqrt((source.width * source.height) / most)));
    const width = Math.max(1, Math.floor(source.width / stride));
    const height = Math.max(1, Math.floor(source.height / stride));
    const samples = new Uint16Array(width * height * channels);
    for (let y = 0, at = 0; y < height; y += 1) {
      const top = y * stride + wander(y, 7, stride);
      const row = source.part(Math.min(source.height - 1, top), 1, {
        left: 0,
        right: source.width,
      });
      for (let x = 0; x < width; x += 1) {
        const from = Math.min(source.width - 1, x * stride + wander(x, y, stride));
        for (let c = 0; c < channels; c += 1, at += 1)
          samples[at] = row[from * channels + c]!;
      }
    }
    return { samples, channels, width, height, stride };
  } finally {
    await source.close();
  }
}
