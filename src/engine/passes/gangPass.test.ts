import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chance } from '@/core/image/chance';
import { spaceTarget } from '../colour/printTarget';
import { openPicture, sharp } from '../sharpSetup';
import { createTiff } from '../tiff/tiffWriter';
import { writeGang } from './gangPass';
import type { GangPiece, GangWork } from './gangPass';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'gang-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const about = { title: 'sheet', artist: 'Senna Quillfeather', copyright: '' };
const silent = () => undefined;

/** A print file of noise. */
async function file(
  name: string,
  { width, height }: { width: number; height: number },
  { bits, channels }: { bits: 8 | 16; channels: 3 | 4 },
): Promise<string> {
  const path = join(folder, name);
  const r = chance(width * 7 + height);
  const samples = width * height * channels;
  const data = bits === 16 ? new Uint16Array(samples) : new Uint8Array(samples);
  for (let i = 0; i < samples; i += 1) data[i] = Math.floor(r() * 2 ** bits);
  const icc = spaceTarget('srgb').icc;
  const tiff = await createTiff(path, {
    width,
    height,
    channels,
    bits,
    ppi: 300,
    icc,
    about,
  });
  await tiff.write(data);
  await tiff.finish();
  return path;
}

/** Samples of a part of a picture, by another reader. */
async function part(
  path: string,
  rect?: { left: number; top: number; width: number; height: number },
  turn = 0,
) {
  const { space, depth } = await openPicture(path).metadata();
  const way = space === 'cmyk' ? 'cmyk' : depth === 'uchar' ? 'srgb' : 'rgb16';
  const opened = sharp(path).pipelineColourspace(way);
  const cut = rect ? opened.extract(rect) : opened;
  const { data, info } = await (turn ? cut.rotate(turn) : cut)
    .toColourspace(way)
    .keepIccProfile()
    .raw({ depth: depth === 'uchar' ? 'uchar' : 'ushort' })
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

const work = (pieces: GangPiece[], over: Partial<GangWork> = {}): GangWork => ({
  pieces,
  words: [{ text: 'Old Quay · A4', left: 12, top: 152, points: 6, wide: 120 }],
  black: [{ left: 4, top: 160, width: 9, height: 3 }],
  width: 400,
  height: 300,
  ppi: 300,
  bits: 8,
  into: spaceTarget('srgb'),
  about,
  target: join(folder, 'sheet.tif'),
  scratch: join(folder, 'scratch'),
  ...over,
});

describe.each([
  [8, 3],
  [16, 3],
  [8, 4],
  [16, 4],
] as const)('of %i bits and %i channels', (bits, channels) => {
  it('each piece lies on the sheet pixel for pixel as in its file, upright or turned', async () => {
    const into = { ...spaceTarget('srgb'), channels };
    const a = await file('a.tif', { width: 131, height: 139 }, { bits, channels });
    const b = await file('b.tif', { width: 70, height: 90 }, { bits, channels });
    const pieces = [
      { path: a, left: 10, top: 11, turned: false },
      { path: a, left: 200, top: 70, turned: true },
      { path: b, left: 300, top: 205, turned: true },
    ];
    const of = work(pieces, { bits, into });
    await writeGang(of, silent);
    for (const { path, left, top, turned } of pieces) {
      const single = await part(path, undefined, turned ? 90 : 0);
      const { width, height } = single;
      const lying = await part(of.target, { left, top, width, height });
      expect(Buffer.compare(lying.data, single.data)).toBe(0);
    }
    // The mark is black, the words are there, between them is white; nothing else is left behind.
    const mark = await part(of.target, { left: 4, top: 160, width: 9, height: 3 });
    const white = await part(of.target, { left: 0, top: 260, width: 100, height: 30 });
    const words = await part(of.target, { left: 12, top: 152, width: 120, height: 8 });
    const inks = (data: Buffer) => new Set(data).size;
    expect(inks(white.data)).toBe(1);
    expect(inks(mark.data)).toBe(channels === 4 ? 2 : 1);
    expect(Buffer.compare(mark.data.subarray(0, 8), white.data.subarray(0, 8))).not.toBe(0);
    expect(inks(words.data)).toBeGreaterThan(2);
    expect(readdirSync(folder).sort()).toEqual(['a.tif', 'b.tif', 'sheet.tif']);
  });
});

it('on a sheet of 16 bits a file of 8 keeps its colours', async () => {
  const a = await file('a.tif', { width: 40, height: 30 }, { bits: 8, channels: 3 });
  const of = work([{ path: a, left: 3, top: 5, turned: false }], { bits: 16 });
  await writeGang(of, silent);
  const single = await part(a);
  const lying = await part(of.target, { left: 3, top: 5, width: 40, height: 30 });
  const deep = new Uint16Array(lying.data.buffer, lying.data.byteOffset, 3600);
  expect([...deep]).toEqual([...single.data].map((v) => v * 257));
});

it('a piece with other colours, or beyond the sheet, is refused, and nothing is left', async () => {
  const a = await file('a.tif', { width: 40, height: 30 }, { bits: 16, channels: 3 });
  const at = { path: a, left: 3, top: 5, turned: false };
  await expect(writeGang(work([at]), silent)).rejects.toThrow('other colours');
  const beyond = { ...at, left: 380 };
  await expect(writeGang(work([beyond], { bits: 16 }), silent)).rejects.toThrow('beyond');
  expect(readdirSync(folder)).toEqual(['a.tif']);
});
