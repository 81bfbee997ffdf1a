import { open, rm } from 'node:fs/promises';
import { planesAsPages } from '../tiff/separatePlanes';
import type { SeparatePlanes } from '../tiff/separatePlanes';
import { sharp } from '../sharpSetup';
import { PixelSource, rgbHeader } from './pixelSource';

const BAND = 64;

/** Turns that make a picture upright, by its orientation (TIFF 6.0, tag 274): degrees, then flipped. */
const TURNS: Record<number, { degrees: number; flip?: true; flop?: true }> = {
  2: { degrees: 0, flop: true },
  3: { degrees: 180 },
  4: { degrees: 0, flip: true },
  5: { degrees: 270, flip: true },
  6: { degrees: 90 },
  7: { degrees: 90, flip: true },
  8: { degrees: 270 },
};

/** Joins decoded planes row by row; what is transparent by the fourth is white. */
async function joined(
  planes: readonly string[],
  { width, height, bits }: SeparatePlanes,
  target: string,
): Promise<void> {
  const sources = await Promise.all(planes.map((path) => PixelSource.open(path)));
  const file = await open(target, 'w');
  const white = bits === 16 ? 65535 : 255;
  try {
    await file.writeFile(rgbHeader(width, height, bits));
    for (let top = 0; top < height; top += BAND) {
      const pixels = Math.min(BAND, height - top) * width;
      const read = await Promise.all(sources.map((s) => s.rows(top, pixels / width)));
      const out = bits === 16 ? new Uint16Array(pixels * 3) : new Uint8Array(pixels * 3);
      for (let i = 0, at = 0; i < pixels; i += 1)
        for (let c = 0; c < 3; c += 1, at += 1) {
          // Samples come as 16 bits whatever the file holds.
          const v = bits === 16 ? read[c]![i]! : read[c]![i]! / 257;
          const a = read[3] ? read[3][i]! / 65535 : 1;
          out[at] = a === 1 ? v : Math.round(v * a + white * (1 - a));
        }
      await file.writeFile(Buffer.from(out.buffer));
    }
  } finally {
    await Promise.all([...sources, file].map((s) => s.close()));
  }
}

/**
 * Decodes a picture whose colours lie in planes of their own into a working copy, upright and on
 * white: its planes are decoded one by one, and joined.
 */
export async function decodePlanes(
  path: string,
  facts: SeparatePlanes,
  target: string,
): Promise<void> {
  const { bits, planes, orientation } = facts;
  const pages = target.replace(/\.v$/, '.pages.tif');
  const lying = target.replace(/\.v$/, '.lying.v');
  const decoded = Array.from({ length: planes }, (_, p) => `${pages}.${p}.v`);
  const turn = TURNS[orientation];
  try {
    await planesAsPages(path, pages);
    for (const [page, to] of decoded.entries())
      await sharp(pages, { page, limitInputPixels: false, unlimited: true })
        .toColourspace(bits === 16 ? 'grey16' : 'b-w')
        .toFile(to);
    await joined(decoded, facts, turn ? lying : target);
    if (!turn) return;
    const upright = sharp(lying, { limitInputPixels: false, unlimited: true })
      .rotate(turn.degrees)
      .flip(turn.flip ?? false)
      .flop(turn.flop ?? false);
    await upright.toColourspace(bits === 16 ? 'rgb16' : 'srgb').toFile(target);
  } finally {
    await Promise.all([pages, lying, ...decoded].map((p) => rm(p, { force: true })));
  }
}
