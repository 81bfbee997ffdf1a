import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '../src/core/colour';
import { createTiff } from '../src/engine/tiff/tiffWriter';

export const scratch = mkdtempSync(join(tmpdir(), 'glassine-files-'));

/** A real 16-bit TIFF in a wide space: a ramp, a wave and fine grain, written row by row. */
export async function writeMaster(
  name: string,
  width: number,
  height: number,
): Promise<string> {
  const path = join(scratch, name);
  // One of that name may be there from other tests: those that run one after the other share a folder.
  rmSync(path, { force: true });
  const icc = iccProfile(RGB_SPACES['prophoto-rgb']);
  const writer = await createTiff(path, {
    width,
    height,
    channels: 3,
    bits: 16,
    ppi: 600,
    icc,
  });
  const band = 64;
  let seed = 12345;
  const samples = new Uint16Array(width * 3 * band);
  for (let top = 0; top < height; top += band) {
    const rows = Math.min(band, height - top);
    for (let y = 0; y < rows; y += 1)
      for (let x = 0; x < width; x += 1) {
        seed ^= seed << 13;
        seed ^= seed >>> 17;
        seed ^= seed << 5;
        const grain = (seed & 2047) - 1024;
        const i = (y * width + x) * 3;
        samples[i] = 12000 + (x / width) * 30000 + grain;
        samples[i + 1] = 26000 + 9000 * Math.sin((top + y) / 140) + grain;
        samples[i + 2] = 20000 + ((top + y) / height) * 20000 + grain;
      }
    await writer.write(samples.subarray(0, rows * width * 3));
  }
  await writer.finish();
  return path;
}

/** All text of a PDF. */
export const pdfText = (path: string): string =>
  execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });

/** Size of a PDF's first page in millimetres. */
export function pdfSize(path: string): [number, number] {
  const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
  const [, w = '0', h = '0'] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(info) ?? [];
  return [(Number(w) * 25.4) / 72, (Number(h) * 25.4) / 72];
}

/** What the code printed on a PDF's first page says. */
export async function pdfCode(path: string): Promise<string | undefined> {
  execFileSync('pdftoppm', ['-png', '-r', '220', '-f', '1', '-l', '1', path, path]);
  const { data, info } = await sharp(`${path}-1.png`)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
}
