import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { OFFSET } from '../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { rasterPdf } from './rasterPdf';

const folder = mkdtempSync(join(tmpdir(), 'raster-'));
afterAll(() => rmSync(folder, { recursive: true }));

const [width, height, ppi] = [300, 200, 254];
const about = { title: 'Slæck Water', artist: 'Senna Quillfeather' };

async function written(channels: 3 | 4) {
  const samples = Buffer.alloc(width * height * channels);
  for (let i = 0; i < samples.length; i += 1) samples[i] = (i * 7 + (i >> 9)) & 255;
  const icc = channels === 3 ? iccProfile(RGB_SPACES['a98-rgb']) : OFFSET.icc;
  const page = { width, height, ppi, channels, deflated: deflateSync(samples), icc };
  const path = join(folder, `${channels}.pdf`);
  writeFileSync(path, await rasterPdf(page, about));
  return { path, samples, icc };
}

it.each([3, 4] as const)(
  'is one page of the exact size with %i channels, and says whose',
  async (channels) => {
    const { path } = await written(channels);
    const said = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
    expect(said).toMatch(/Pages: +1\n/);
    // 300 px at 254 ppi are 30 mm.
    const [, w, h] = /Page size: +([\d.]+) x ([\d.]+) pts/.exec(said)!;
    expect((Number(w) / 72) * 25.4).toBeCloseTo(30, 2);
    expect((Number(h) / 72) * 25.4).toBeCloseTo(20, 2);
    expect(said).toContain('Senna Quillfeather');
    const images = execFileSync('pdfimages', ['-list', path], { encoding: 'utf8' });
    expect(images).toMatch(new RegExp(`image +300 +200 +icc +${channels} +8 .* 254 +254 `));
  },
);

it('holds the samples as they are', async () => {
  const { path, samples } = await written(3);
  execFileSync('pdfimages', [path, join(folder, 'out')]);
  const ppm = readFileSync(join(folder, 'out-000.ppm'));
  expect(ppm.subarray(ppm.length - samples.length).equals(samples)).toBe(true);
});
