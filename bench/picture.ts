import { existsSync } from 'node:fs';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { createTiff } from '@/engine/tiff/tiffWriter';

/** Writes a square 16-bit TIFF of about so many megapixels: waves, ramps and grain. */
export async function writePicture(path: string, megapixels: number): Promise<number> {
  const side = Math.round(Math.sqrt(megapixels * 1e6) / 100) * 100;
  if (existsSync(path)) return side;
  const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
  const layout = {
    width: side,
    height: side,
    channels: 3,
    bits: 16,
    ppi: 600,
    icc,
  } as const;
  const file = await createTiff(path, layout);
  const grain = new Uint16Array(1 << 20);
  let seed = 7;
  for (let i = 0; i < grain.length; i += 1) {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    grain[i] = seed >>> 21;
  }
  const rows = 50;
  const band = new Uint16Array(side * 3 * rows);
  for (let top = 0; top < side; top += rows) {
    for (let y = 0, i = 0; y < rows; y += 1)
      for (let x = 0; x < side; x += 1, i += 3) {
        const g = grain[(i + top * 977) & 0xfffff]!;
        band[i] = 12000 + (x / side) * 30000 + g;
        band[i + 1] = 26000 + 9000 * Math.sin((top + y) / 140) + g;
        band[i + 2] = 20000 + ((top + y) / side) * 20000 + g;
      }
    await file.write(band);
  }
  await file.finish();
  return side;
}
